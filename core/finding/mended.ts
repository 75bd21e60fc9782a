import type { Stage } from '../model/cable.ts';
import { type Topic, TOPICS } from './topics.ts';

/** Parts of the run that are opened by themselves. */
export type RunPart = 'detail' | 'duty' | 'back' | 'route' | 'place' | 'source';

/** A stage, and the part of it, where what a finding complains of is entered or chosen. */
export interface Mended {
  readonly stage: Stage;
  readonly part?: RunPart;
}

const inRun = (part: RunPart): Mended => ({ stage: 'run', part });

/** Those that are corrected elsewhere than their group. */
const ELSEWHERE: Partial<Readonly<Record<Topic, Mended>>> = {
  'circuit-amps': { stage: 'run' },
  'circuit-volts': { stage: 'run' },
  current: { stage: 'run' },
  'circuit-duty': inRun('duty'),
  'asks-lowest': inRun('detail'),
  'load-volts': inRun('detail'),
  placing: inRun('place'),
  'asks-engine-air': inRun('place'),
  suits: inRun('place'),
  'asks-cells': inRun('source'),
  'cranking-amps': inRun('source'),
  'cranking-volts': inRun('source'),
  hole: inRun('route'),
};

const GROUPS: Readonly<Record<keyof typeof TOPICS, Mended | null>> = {
  run: inRun('route'),
  size: { stage: 'gauge' },
  fuse: inRun('source'),
  lug: { stage: 'ends' },
  stud: { stage: 'ends' },
  method: { stage: 'ends' },
  layers: { stage: 'ends' },
  way: { stage: 'ends' },
  cut: { stage: 'cut' },
  make: { stage: 'make' },
  proof: { stage: 'prove' },
  fit: { stage: 'fit' },
  // Those of a hunt and of the whole system are corrected on their own page.
  hunt: null,
  system: null,
};

/**
 * Where what a finding of a cable complains of is corrected; null for one of a hunt or of the whole system.
 *
 * @example mendedAt('short') // { stage: 'run', part: 'source' }: a short is not known until the source is
 */
export function mendedAt(topic: Topic): Mended | null {
  const other = ELSEWHERE[topic];
  if (other) return other;
  const group = (Object.keys(TOPICS) as (keyof typeof TOPICS)[]).find((key) =>
    (TOPICS[key] as readonly Topic[]).includes(topic),
  );
  return group ? GROUPS[group] : null;
}
