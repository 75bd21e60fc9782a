import type { HousePractice, School } from '../model/housePractice.ts';
import { say } from '../words/say.ts';

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

/** The parts of the work that the questions belong to. */
export const QUESTION_GROUPS = {
  Gauge: say`Gauge`,
  Ends: say`Ends`,
  Crimps: say`Crimps`,
  Sleeves: say`Sleeves`,
  Proof: say`Proof`,
} as const;

/** Something on which good practitioners disagree. */
export interface Question {
  readonly id: string;
  readonly title: string;
  readonly group: keyof typeof QUESTION_GROUPS;
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
    title: on ? say`binds‖of a school` : say`is shown`,
    says: on ? binds : shown,
    taken: ({ schools }) => schools[school] === on,
    take: (practice) => ({ ...practice, schools: { ...practice.schools, [school]: on } }),
  })),
});

/** Every point on which the trade disagrees and this shop can choose, in the order of the work. */
export const QUESTIONS: readonly Question[] = [
  ofSchool(
    'quick',
    say`Printed chart, 3 % and 10 % drop`,
    say`One look at a chart on the wall; cold copper, drop alone, so heat must be guarded elsewhere.`,
    say`A second opinion, and decides nothing.`,
  ),
  ofSchool(
    'inch',
    say`Table of allowed amps, inch gauge`,
    say`What many surveyors open first; small craft, heat alone.`,
    say`Beside the others, for whoever asks.`,
  ),
  ofSchool(
    'metric',
    say`Table of allowed amps, metric`,
    say`The metric small-craft rule; heat alone.`,
    say`Beside the others, for whoever asks.`,
  ),
  ofSchool(
    'heat',
    say`Heat balance of this very cable`,
    say`This jacket, this air, this sun: stricter in the sun, more generous in free air.`,
    say`A second opinion, and decides nothing.`,
  ),
  {
    id: 'one-up',
    title: say`One size up, as a margin`,
    group: 'Gauge',
    answers: ofField('oneSizeUp', [
      [false, say`off`, say`The smallest that passes: lighter, cheaper, easier to bend.`],
      [true, say`on`, say`Cooler and with less drop; costs copper, weight and bend radius.`],
    ]),
  },
  {
    id: 'method',
    title: say`Strands are held by`,
    group: 'Ends',
    answers: ofField('method', [
      ['crimp', say`crimp`, say`A gas-tight cold joint that no heat undoes; needs the right die.`],
      [
        'crimp then solder',
        say`crimp, solder`,
        say`Double security; a brittle step where it flexes, and softens hot.`,
      ],
      [
        'solder',
        say`solder`,
        say`Total contact, sealed and stiff; must not be the only hold on a short barrel.`,
      ],
      ['slug then crimp', say`slug, crimp`, say`Practised by some; the crimp relaxes as the solder creeps.`],
    ]),
  },
  {
    id: 'cut-strands',
    title: say`Strands cut in stripping`,
    group: 'Ends',
    answers: ofField('cutStrands', [
      ['none', say`none`, say`Cut back and strip again: costs length, hides nothing.`],
      ['pluck', say`pluck a few`, say`As many as the workmanship class lets go; the amps left are computed.`],
    ]),
  },
  {
    id: 'workmanship',
    title: say`Workmanship class`,
    group: 'Ends',
    answers: ofField('workmanship', [
      ['class2', say`class 2`, say`Dependable gear.`],
      ['class3', say`class 3`, say`Where failure endangers: fewer strands may go.`],
    ]),
  },
  {
    id: 'crimps',
    title: say`Crimps side by side`,
    group: 'Crimps',
    answers: ofField('crimps', [
      [1, say`one`, say`Quicker; enough for a wide die on a short barrel.`],
      [2, say`two`, say`More length pressed; wants a barrel that takes both.`],
    ]),
  },
  {
    id: 'die-step',
    title: say`Die`,
    group: 'Crimps',
    answers: ofField('dieStep', [
      ['nominal', say`nominal`, say`The die that the figures call right.`],
      ['one under', say`one under`, say`The tightest that still closes right: firmer, nearer to ears.`],
    ]),
  },
  {
    id: 'first-crimp',
    title: say`First crimp`,
    group: 'Crimps',
    answers: ofField('firstCrimp', [
      ['palm', say`palm end`, say`The barrel grows towards the mouth; keep the cable pressed home.`],
      ['mouth', say`mouth end`, say`The cable is caught at once and cannot slip out.`],
    ]),
  },
  {
    id: 'turn',
    title: say`Turn a sixth between crimps`,
    group: 'Crimps',
    answers: ofField('turnBetween', [
      [false, say`no`, say`Flats stay parallel with the palm.`],
      [true, say`yes`, say`Shares out the ears of a tool that raises them.`],
    ]),
  },
  {
    id: 'seal',
    title: say`Sealed by`,
    group: 'Sleeves',
    answers: ofField('seal', [
      [
        'adhesive sleeve',
        say`its sleeve`,
        say`Dual wall with adhesive inside: one piece, seals and relieves strain.`,
      ],
      [
        'adhesive ring',
        say`a ring`,
        say`A ring of flexible adhesive under a plain sleeve: any sleeve will do.`,
      ],
    ]),
  },
  {
    id: 'shrink',
    title: say`Sleeves are shrunk with`,
    group: 'Sleeves',
    answers: ofField('shrinkBy', [
      [
        'heat gun',
        say`heat gun`,
        say`Even, with a reflector nozzle; a battery gun lacks the power for thick wall.`,
      ],
      ['torch', say`gentle torch`, say`Quick anywhere; always moving, never the blue flame.`],
    ]),
    caution: say`A torch is hot work: no fuel vapour, no charging battery near it.`,
  },
  {
    id: 'colours',
    title: say`Polarity is told by`,
    group: 'Sleeves',
    answers: ofField('colours', [
      ['jacket', say`the cable`, say`Red and black cable: nothing to add, two drums to keep.`],
      ['sleeves', say`sleeves`, say`One colour of cable, red and black bands at the ends.`],
      ['label', say`the label`, say`Discreet black at a visible end; the label must be read.`],
    ]),
  },
  {
    id: 'pull',
    title: say`Pull that proves`,
    group: 'Proof',
    answers: ofField('pull', [
      ['least', say`least`, say`The small-craft and metric least: a proof that does not hurt the cable.`],
      ['usual', say`usual`, say`What published pull-out tests ask: on samples that are then spent.`],
      ['heaviest', say`heaviest`, say`60 N/mm²: samples only, in a guarded rig.`],
    ]),
  },
  {
    id: 'also-prove',
    title: say`Read of every cable besides`,
    group: 'Proof',
    answers: (
      [
        [
          say`nothing`,
          [],
          say`Look, callipers, pull, whole resistance and insulation; the rest when in doubt.`,
        ],
        [
          say`joint`,
          ['joint'],
          say`Each crimp against its own cable by four wires: finds what the whole hides.`,
        ],
        [
          say`joint, section`,
          ['joint', 'section'],
          say`A crimp made alike is sawn as well: costs a lug and an hour, shows the air itself.`,
        ],
        [
          say`under load`,
          ['drop', 'thermal'],
          say`Volts and warmth once it carries: needs the load, and time.`,
        ],
      ] as const
    ).map(([title, also, says]) => ({
      id: `also-prove=${also.join('+') || 'nothing'}`,
      title,
      says,
      taken: ({ alsoProve }) => [...alsoProve].sort().join() === [...also].sort().join(),
      take: (practice) => ({ ...practice, alsoProve: [...also] }),
    })),
  },
];
