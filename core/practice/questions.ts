import type { HousePractice, School } from './housePractice.ts';

/** One answer to a question on which good shops differ. */
export interface Answer {
  readonly id: string;
  readonly title: string;
  /** What it is chosen for, and what it costs, in a line. */
  readonly says: string;
  readonly taken: (practice: HousePractice) => boolean;
  /** The practice with this answer; everything else of it stays. */
  readonly take: (practice: HousePractice) => HousePractice;
}

/** Something on which good practitioners disagree. */
export interface Question {
  readonly id: string;
  readonly title: string;
  readonly group: 'Gauge' | 'Ends' | 'Crimps' | 'Sleeves' | 'Proof';
  readonly answers: readonly Answer[];
  /** A line of caution that stands whatever is chosen. */
  readonly caution?: string;
}

/** The answers of a question whose choice is one field of the practice. */
function ofField<Key extends keyof HousePractice>(
  key: Key,
  answers: readonly (readonly [value: HousePractice[Key], title: string, says: string])[],
): Answer[] {
  return answers.map(([value, title, says]) => ({
    id: `${key}=${String(value)}`,
    title,
    says,
    taken: (practice) => practice[key] === value,
    take: (practice) => ({ ...practice, [key]: value }),
  }));
}

const ofSchool = (school: School, title: string, binds: string, shown: string): Question => ({
  id: `school-${school}`,
  title,
  group: 'Gauge',
  answers: ([true, false] as const).map((on) => ({
    id: `school-${school}=${on}`,
    title: on ? 'binds' : 'is shown',
    says: on ? binds : shown,
    taken: ({ schools }) => schools[school] === on,
    take: (practice) => ({ ...practice, schools: { ...practice.schools, [school]: on } }),
  })),
});

/** Every point on which the trade disagrees and this shop can choose, in the order of the work. */
export const QUESTIONS: readonly Question[] = [
  ofSchool(
    'quick',
    'Printed chart, 3 % and 10 % drop',
    'One look at a chart on the wall; cold copper, drop alone, so heat must be guarded elsewhere.',
    'A second opinion, and decides nothing.',
  ),
  ofSchool(
    'inch',
    'Table of allowed amps, inch gauge',
    'What many surveyors open first; small craft, heat alone.',
    'Beside the others, for whoever asks.',
  ),
  ofSchool(
    'metric',
    'Table of allowed amps, metric',
    'The metric small-craft rule; heat alone.',
    'Beside the others, for whoever asks.',
  ),
  ofSchool(
    'heat',
    'Heat balance of this very cable',
    'This jacket, this air, this sun: stricter in the sun, more generous in free air.',
    'A second opinion, and decides nothing.',
  ),
  {
    id: 'one-up',
    title: 'One size up, as a margin',
    group: 'Gauge',
    answers: ofField('oneSizeUp', [
      [false, 'off', 'The smallest that passes: lighter, cheaper, easier to bend.'],
      [true, 'on', 'Cooler and with less drop; costs copper, weight and bend radius.'],
    ]),
  },
  {
    id: 'method',
    title: 'Strands are held by',
    group: 'Ends',
    answers: ofField('method', [
      ['crimp', 'crimp', 'A gas-tight cold joint that no heat undoes; needs the right die.'],
      [
        'crimp then solder',
        'crimp, solder',
        'Double security; a brittle step where it flexes, and softens hot.',
      ],
      ['solder', 'solder', 'Total contact, sealed and stiff; must not be the only hold on a short barrel.'],
      ['slug then crimp', 'slug, crimp', 'Practised by some; the crimp relaxes as the solder creeps.'],
    ]),
  },
  {
    id: 'cut-strands',
    title: 'Strands cut in stripping',
    group: 'Ends',
    answers: ofField('cutStrands', [
      ['none', 'none', 'Cut back and strip again: costs length, hides nothing.'],
      ['pluck', 'pluck a few', 'As many as the workmanship class lets go; the amps left are computed.'],
    ]),
  },
  {
    id: 'workmanship',
    title: 'Workmanship class',
    group: 'Ends',
    answers: ofField('workmanship', [
      ['class2', 'class 2', 'Dependable gear.'],
      ['class3', 'class 3', 'Where failure endangers: fewer strands may go.'],
    ]),
  },
  {
    id: 'crimps',
    title: 'Crimps side by side',
    group: 'Crimps',
    answers: ofField('crimps', [
      [1, 'one', 'Quicker; enough for a wide die on a short barrel.'],
      [2, 'two', 'More length pressed; wants a barrel that takes both.'],
    ]),
  },
  {
    id: 'die-step',
    title: 'Die',
    group: 'Crimps',
    answers: ofField('dieStep', [
      ['nominal', 'nominal', 'The die that the figures call right.'],
      ['one under', 'one under', 'The tightest that still closes right: firmer, nearer to ears.'],
    ]),
  },
  {
    id: 'first-crimp',
    title: 'First crimp',
    group: 'Crimps',
    answers: ofField('firstCrimp', [
      ['palm', 'palm end', 'The barrel grows towards the mouth; keep the cable pressed home.'],
      ['mouth', 'mouth end', 'The cable is caught at once and cannot slip out.'],
    ]),
  },
  {
    id: 'turn',
    title: 'Turn a sixth between crimps',
    group: 'Crimps',
    answers: ofField('turnBetween', [
      [false, 'no', 'Flats stay parallel with the palm.'],
      [true, 'yes', 'Shares out the ears of a tool that raises them.'],
    ]),
  },
  {
    id: 'seal',
    title: 'Sealed by',
    group: 'Sleeves',
    answers: ofField('seal', [
      [
        'adhesive sleeve',
        'its sleeve',
        'Dual wall with adhesive inside: one piece, seals and relieves strain.',
      ],
      ['adhesive ring', 'a ring', 'A ring of flexible adhesive under a plain sleeve: any sleeve will do.'],
    ]),
  },
  {
    id: 'shrink',
    title: 'Sleeves are shrunk with',
    group: 'Sleeves',
    answers: ofField('shrinkBy', [
      [
        'heat gun',
        'heat gun',
        'Even, with a reflector nozzle; a battery gun lacks the power for thick wall.',
      ],
      ['torch', 'gentle torch', 'Quick anywhere; always moving, never the blue flame.'],
    ]),
    caution: 'A torch is hot work: no fuel vapour, no charging battery near it.',
  },
  {
    id: 'colours',
    title: 'Polarity is told by',
    group: 'Sleeves',
    answers: ofField('colours', [
      ['jacket', 'the cable', 'Red and black cable: nothing to add, two drums to keep.'],
      ['sleeves', 'sleeves', 'One colour of cable, red and black bands at the ends.'],
      ['label', 'the label', 'Discreet black at a visible end; the label must be read.'],
    ]),
  },
  {
    id: 'pull',
    title: 'Pull that proves',
    group: 'Proof',
    answers: ofField('pull', [
      ['least', 'least', 'The small-craft and metric least: a proof that does not hurt the cable.'],
      ['usual', 'usual', 'What published pull-out tests ask: on samples that are then spent.'],
      ['heaviest', 'heaviest', '60 N/mm²: samples only, in a guarded rig.'],
    ]),
  },
  {
    id: 'also-prove',
    title: 'Read of every cable besides',
    group: 'Proof',
    answers: (
      [
        ['nothing', [], 'Look, callipers, pull, whole resistance and insulation; the rest when in doubt.'],
        ['joint', ['joint'], 'Each crimp against its own cable by four wires: finds what the whole hides.'],
        [
          'joint, section',
          ['joint', 'section'],
          'A crimp made alike is sawn as well: costs a lug and an hour, shows the air itself.',
        ],
        ['under load', ['drop', 'thermal'], 'Volts and warmth once it carries: needs the load, and time.'],
      ] as const
    ).map(([title, also, says]) => ({
      id: `also-prove=${title}`,
      title,
      says,
      taken: ({ alsoProve }) => [...alsoProve].sort().join() === [...also].sort().join(),
      take: (practice) => ({ ...practice, alsoProve: [...also] }),
    })),
  },
];
