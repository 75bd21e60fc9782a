import type { Stage } from '../../core/job/cable.ts';

export const STAGE_TITLES: Readonly<Record<Stage, string>> = {
  run: 'Run',
  gauge: 'Gauge',
  ends: 'Ends',
  cut: 'Cut',
  make: 'Make',
  prove: 'Prove',
  fit: 'Fit',
};
