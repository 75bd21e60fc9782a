import type { RunPart } from '../../core/finding/mended.ts';
import type { Stage } from '../../core/model/cable.ts';
import { say } from '../../core/words/say.ts';

export const STAGE_TITLES: Readonly<Record<Stage, string>> = {
  run: say`Run`,
  gauge: say`Gauge`,
  ends: say`Ends`,
  cut: say`Cut`,
  make: say`Make`,
  prove: say`Prove`,
  fit: say`Fit`,
};

/** The parts of the run that are folded to a line, as their lines are headed. */
export const RUN_PART_TITLES: Readonly<Record<RunPart, string>> = {
  detail: say`Efficiency and cut-out`,
  duty: say`Surge or duty cycle`,
  back: say`Return path and service loop`,
  route: say`Route`,
  place: say`Surroundings`,
  source: say`Source and fuse`,
};
