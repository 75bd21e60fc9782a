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
