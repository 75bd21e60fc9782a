import type { EndName } from '../model/end.ts';

/** What findings are about, by the question of the craft that they answer. */
export const TOPICS = {
  run: [
    ...(['current', 'placing', 'asks-lowest', 'asks-engine-air', 'asks-cells'] as const),
    ...(['circuit-amps', 'circuit-duty', 'circuit-volts'] as const),
    ...(['bend', 'supports', 'rub', 'zone', 'route'] as const),
  ],
  size: [
    ...(['drop', 'load-volts', 'settled', 'duty-drop', 'duty-peak', 'dead-end', 'suits'] as const),
    ...(['quick', 'amps-inch', 'amps-metric', 'amps-heat'] as const),
    ...(['cranking-drop', 'cranking-amps', 'cranking-volts'] as const),
  ],
  fuse: [
    ...(['short', 'both-ends', 'string-fuses'] as const),
    ...(['breaking', 'carries', 'guards', 'survives', 'fuse-place'] as const),
  ],
  lug: [
    ...([
      'lug',
      'fill',
      'wall',
      'web',
      'clearance',
      'metal',
      'drilled',
      'plating',
      'palm-aside',
      'made-metal',
      'made-place',
      'strip',
    ] as const),
    ...(['packing', 'compaction', 'crimps', 'trial', 'tool', 'die-force'] as const),
  ],
  stud: ['stack', 'stack-count', 'stack-order', 'stack-stud', 'contact', 'post', 'post-shared', 'adapter'],
  method: [
    ...(['solder-flex', 'solder-heat', 'solder-hold', 'solder-mass', 'torch', 'flux', 'creep'] as const),
    ...(['temporary', 'tinned-first', 'cast', 'strands', 'strands-amps', 'strands-short'] as const),
  ],
  layers: [
    ...(['sleeve', 'sleeve-cover', 'sleeve-grip', 'sleeve-pass', 'layers', 'band', 'ring', 'cap'] as const),
    ...(['sleeve-stiff', 'sleeve-live', 'shrink-tool'] as const),
    'polarity',
  ],
  way: ['hole', 'clocking', 'join-fill', 'join-place', 'join-die', 'join-sleeve', 'join-seal'],
  cut: ['cut', 'finished', 'second-mark'],
  make: ['takes'],
  proof: [
    ...(['across-flats', 'ears', 'pull', 'look', 'joint', 'section', 'thermal'] as const),
    ...(['resistance', 'insulation', 'drop-length', 'join-flats', 'join-ears', 'join-pull'] as const),
    ...(['trend', 'spot', 'recall', 'samples'] as const),
  ],
  fit: ['torque', 'face-drop', 'run-drop', 'fit-list', 'support-plan'],
  hunt: ['hunt-sum', 'hunt-sag'],
  system: [
    ...(['state-source', 'state-collapse', 'load-drop', 'load-least', 'load-fed', 'loads-return'] as const),
    ...(['unfused', 'first-fuse', 'under-fuse', 'fuse-breaks', 'fuse-clears', 'fuse-carries'] as const),
    ...(['selective', 'bank-share', 'bank-known', 'unlike-volts', 'place-rated', 'place-empty'] as const),
    ...([
      'charger-always',
      'cable-loose',
      'bond-known',
      'return-beside',
      'lost-in-copper',
      'sizes-together',
      'weight-limit',
      'replacing',
      'kinds-beside',
    ] as const),
  ],
} as const satisfies Readonly<Record<string, readonly string[]>>;
export type Topic = (typeof TOPICS)[keyof typeof TOPICS][number];

/** Whether a topic is one of some: `isAbout(TOPICS.fuse)(finding)`. */
export const isAbout =
  (...topics: readonly Topic[]) =>
  ({ topic }: { readonly topic: Topic }): boolean =>
    topics.includes(topic);

/** What of a cable it is about; the whole of it where nothing is named. */
export interface Subject {
  readonly end?: EndName | undefined;
  /** The id of a join in the cable. */
  readonly join?: string | undefined;
  /** Which of several: the side of a join, the number of a place, what is met there. */
  readonly part?: string | number | undefined;
}

/**
 * The name of a finding among those of its cable: its topic, which of several, and the end or the join.
 *
 * @example idOf({ topic: 'join-flats', part: 'A', join: 'x1' }) // "join-flats-A.x1"
 */
export const idOf = ({ topic, end, join, part }: Subject & { readonly topic: Topic }): string =>
  `${topic}${part === undefined ? '' : `-${part}`}${end === undefined ? '' : `.${end}`}${join === undefined ? '' : `.${join}`}`;
