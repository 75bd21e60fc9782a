import type { HousePractice, School } from '../model/housePractice.ts';
import { type Message, msg } from '../words/message.ts';

/** One answer to a question on which good shops differ. */
export interface Answer {
  readonly id: string;
  readonly title: Message;
  /** What it is chosen for, and what it costs, in a line. */
  readonly says: Message;
  readonly taken: (practice: HousePractice) => boolean;
  /** The practice with this answer; everything else of it stays. */
  readonly take: (practice: HousePractice) => HousePractice;
}

/** The parts of the work that the questions belong to. */
export const QUESTION_GROUPS = {
  Gauge: msg`Gauge`,
  Ends: msg`Ends`,
  Crimps: msg`Crimps`,
  Sleeves: msg`Sleeves`,
  Proof: msg`Proof`,
} as const;

/** Something on which good practitioners disagree. */
export interface Question {
  readonly id: string;
  readonly title: Message;
  readonly group: keyof typeof QUESTION_GROUPS;
  readonly answers: readonly Answer[];
  /** A line of caution that stands whatever is chosen. */
  readonly caution?: Message;
}

/** The answers of a question whose choice is one field of the practice. */
function ofField<Key extends keyof HousePractice>(
  key: Key,
  answers: readonly (readonly [value: HousePractice[Key], title: Message, says: Message])[],
): Answer[] {
  return answers.map(([value, title, says]) => ({
    id: `${key}=${String(value)}`,
    title,
    says,
    taken: (practice) => practice[key] === value,
    take: (practice) => ({ ...practice, [key]: value }),
  }));
}

/** The same for a field that earlier shops do not have: there the first answer holds. */
function optional<
  Key extends 'hardware' | 'decision' | 'flatsEach' | 'twoPeople' | 'sampleOneIn' | 'checkCrimps' | 'checkBy',
>(
  key: Key,
  answers: readonly (readonly [value: NonNullable<HousePractice[Key]>, title: Message, says: Message])[],
): Answer[] {
  const [first] = answers;
  return answers.map(([value, title, says]) => ({
    id: `${key}=${value}`,
    title,
    says,
    taken: (practice) => (practice[key] ?? first?.[0]) === value,
    take: (practice) => ({ ...practice, [key]: value }),
  }));
}

const ofSchool = (school: School, title: Message, binds: Message, shown: Message): Question => ({
  id: `school-${school}`,
  title,
  group: 'Gauge',
  answers: ([true, false] as const).map((on) => ({
    id: `school-${school}=${on}`,
    title: on ? msg`counts‖of a method` : msg`for information`,
    says: on ? binds : shown,
    taken: ({ schools }) => schools[school] === on,
    take: (practice) => ({ ...practice, schools: { ...practice.schools, [school]: on } }),
  })),
});

/** Every point on which the trade disagrees and this shop can choose, in the order of the work. */
export const QUESTIONS: readonly Question[] = [
  ofSchool(
    'quick',
    msg`Printed chart, 3 % and 10 % drop`,
    msg`One look at a chart on the wall; cold copper, drop alone, so heat must be checked elsewhere.`,
    msg`A second opinion, and decides nothing.`,
  ),
  ofSchool(
    'inch',
    msg`Ampacity table, inch gauge`,
    msg`What many surveyors consult first; small craft, heat alone.`,
    msg`Shown beside the others, decides nothing.`,
  ),
  ofSchool(
    'metric',
    msg`Ampacity table, metric`,
    msg`The metric small-craft rule; heat alone.`,
    msg`Shown beside the others, decides nothing.`,
  ),
  ofSchool(
    'heat',
    msg`Heat balance of this very cable`,
    msg`This jacket, this air, this sun: stricter in the sun, more generous in free air.`,
    msg`A second opinion, and decides nothing.`,
  ),
  {
    id: 'one-up',
    title: msg`One size up, as a margin`,
    group: 'Gauge',
    answers: ofField('oneSizeUp', [
      [false, msg`off`, msg`The smallest that passes: lighter, cheaper, easier to bend.`],
      [true, msg`on`, msg`Cooler and with less drop; costs copper, weight and bend radius.`],
    ]),
  },
  {
    id: 'method',
    title: msg`Termination method`,
    group: 'Ends',
    answers: ofField('method', [
      ['crimp', msg`crimp`, msg`A gas-tight cold joint that no heat undoes; needs the right die.`],
      [
        'crimp then solder',
        msg`crimp, solder`,
        msg`Double security; a brittle step where it flexes, and softens hot.`,
      ],
      [
        'solder',
        msg`solder`,
        msg`Total contact, sealed and stiff; must not be the only hold on a short barrel.`,
      ],
      [
        'slug then crimp',
        msg`solder slug, then crimp`,
        msg`Practised by some; the crimp relaxes as the solder creeps.`,
      ],
    ]),
  },
  {
    id: 'cut-strands',
    title: msg`Strands cut in stripping`,
    group: 'Ends',
    answers: ofField('cutStrands', [
      ['none', msg`none`, msg`Cut back and strip again: costs length, hides nothing.`],
      [
        'pluck',
        msg`remove a few`,
        msg`As many as the workmanship class allows; the ampacity left is calculated.`,
      ],
    ]),
  },
  {
    id: 'workmanship',
    title: msg`Workmanship class`,
    group: 'Ends',
    answers: ofField('workmanship', [
      ['class2', msg`class 2`, msg`Dependable gear.`],
      ['class3', msg`class 3`, msg`Where failure endangers: fewer strands may go.`],
    ]),
  },
  {
    id: 'crimps',
    title: msg`Crimps side by side`,
    group: 'Crimps',
    answers: ofField('crimps', [
      [1, msg`one`, msg`Quicker; enough for a wide die on a short barrel.`],
      [2, msg`two`, msg`More length pressed; needs a barrel that takes both.`],
    ]),
  },
  {
    id: 'die-step',
    title: msg`Die`,
    group: 'Crimps',
    answers: ofField('dieStep', [
      ['nominal', msg`nominal`, msg`The die that the figures call right.`],
      [
        'one under',
        msg`one size smaller`,
        msg`The tightest that still closes right: firmer, nearer to ears.`,
      ],
    ]),
  },
  {
    id: 'first-crimp',
    title: msg`First crimp`,
    group: 'Crimps',
    answers: ofField('firstCrimp', [
      ['palm', msg`palm end`, msg`The barrel grows towards the mouth; keep the cable pressed home.`],
      ['mouth', msg`mouth end`, msg`The cable is caught at once and cannot slip out.`],
    ]),
  },
  {
    id: 'turn',
    title: msg`Rotate 60° between crimps`,
    group: 'Crimps',
    answers: ofField('turnBetween', [
      [false, msg`no`, msg`Flats stay parallel with the palm.`],
      [true, msg`yes`, msg`Shares out the ears of a tool that raises them.`],
    ]),
  },
  {
    id: 'seal',
    title: msg`Sealed by`,
    group: 'Sleeves',
    answers: ofField('seal', [
      [
        'adhesive sleeve',
        msg`its sleeve`,
        msg`Dual wall with adhesive inside: one piece, seals and relieves strain.`,
      ],
      [
        'adhesive ring',
        msg`a ring`,
        msg`A ring of flexible adhesive under a plain sleeve: a step of its own, and any sleeve will do.`,
      ],
      [
        'plain sleeve',
        msg`nothing`,
        msg`A plain sleeve marks and insulates; water gets in. For the dry only.`,
      ],
    ]),
  },
  {
    id: 'hardware',
    title: msg`Nuts and washers`,
    group: 'Ends',
    answers: optional('hardware', [
      ['again', msg`used again`, msg`Those of the stud go back on; nothing to buy.`],
      [
        'new',
        msg`new ones`,
        msg`A nut, a plain and a spring washer go along for each stud that a cable has to itself.`,
      ],
    ]),
  },
  {
    id: 'shrink',
    title: msg`Sleeves are shrunk with`,
    group: 'Sleeves',
    answers: ofField('shrinkBy', [
      [
        'heat gun',
        msg`heat gun`,
        msg`Even, with a reflector nozzle; a battery gun lacks the power for thick wall.`,
      ],
      [
        'battery gun',
        msg`battery gun`,
        msg`Where there is no mains: thin wall, and lined sleeves up to 12 mm; it does not heat more than that.`,
      ],
      ['torch', msg`gentle torch`, msg`Quick anywhere; always moving, never the blue flame.`],
    ]),
    caution: msg`A torch is hot work: no fuel vapour, no charging battery near it.`,
  },
  {
    id: 'colours',
    title: msg`Polarity shown by`,
    group: 'Sleeves',
    answers: ofField('colours', [
      ['jacket', msg`the cable`, msg`Red and black cable: nothing to add, two drums to keep.`],
      ['sleeves', msg`sleeves`, msg`One colour of cable, red and black bands at the ends.`],
      ['label', msg`the label`, msg`Discreet black at a visible end; the label must be read.`],
    ]),
  },
  {
    id: 'pull',
    title: msg`Pull-test force`,
    group: 'Proof',
    answers: ofField('pull', [
      ['least', msg`least`, msg`The small-craft and metric least: a proof that does not hurt the cable.`],
      ['usual', msg`usual`, msg`What published pull-out tests require: on samples that are then used up.`],
      ['heaviest', msg`heaviest`, msg`60 N/mm²: samples only, in a guarded rig.`],
    ]),
  },
  {
    id: 'decision',
    title: msg`What decides near a limit`,
    group: 'Proof',
    answers: optional('decision', [
      [
        'at the limit',
        msg`the limit`,
        msg`Up to the limit it passes; what the instrument cannot separate from the limit is watched.`,
      ],
      [
        'guarded',
        msg`the limit, guarded`,
        msg`What the instrument cannot separate from the limit is not proved: what an inspector expects.`,
      ],
    ]),
  },
  {
    id: 'flats-each',
    title: msg`Flats measured on each crimp`,
    group: 'Proof',
    answers: optional('flatsEach', [
      [1, msg`one pair`, msg`One width a crimp: quick, and blind to a die that closed askew.`],
      [3, msg`all three pairs`, msg`Three widths a crimp: shows a hexagon that is not even.`],
    ]),
  },
  {
    id: 'two-people',
    title: msg`Who signs a cable off`,
    group: 'Proof',
    answers: optional('twoPeople', [
      [
        false,
        msg`whoever seals it`,
        msg`One name stands for making and proving: usual where one person works.`,
      ],
      [
        true,
        msg`maker and inspector`,
        msg`Somebody who did not make it inspects it and signs; nothing is sealed without both.`,
      ],
    ]),
  },
  {
    id: 'check-crimps',
    title: msg`Check crimps of a die`,
    group: 'Proof',
    answers: optional('checkCrimps', [
      [
        'when in doubt',
        msg`in doubt`,
        msg`A check that failed holds the die back; none is required by the calendar.`,
      ],
      [
        'each day',
        msg`each day`,
        msg`Before the first of a day, one spare piece for each die: a die that no longer closes is found before the day’s work.`,
      ],
      [
        'each 50',
        msg`each 50`,
        msg`After 50 crimps, by what it has closed and not by the calendar: for days with many crimps, or few.`,
      ],
      [
        'each 200',
        msg`each 200`,
        msg`After 200 crimps: a press with dies of its own that are set once and stay.`,
      ],
    ]),
  },
  {
    id: 'check-by',
    title: msg`Check crimps are judged`,
    group: 'Proof',
    answers: optional('checkBy', [
      ['flats', msg`across flats`, msg`A calliper finds a die that does not close; it costs a minute.`],
      [
        'section',
        msg`and sawn`,
        msg`Air between the strands is seen, whatever the flats say: a hacksaw and a picture.`,
      ],
      ['pull', msg`and pulled`, msg`One minute at the least force for its size: a grip that has gone shows.`],
    ]),
  },
  {
    id: 'sampling',
    title: msg`Samples pulled apart`,
    group: 'Proof',
    answers: optional('sampleOneIn', [
      [0, msg`no plan`, msg`A trial when a die or lug is new, and no count.`],
      [
        10,
        msg`1 in 10`,
        msg`The first piece, then one in ten: a small shop that changes lugs and hands often.`,
      ],
      [25, msg`1 in 25`, msg`The first piece, then one in 25: one lug used up for a day’s work or two.`],
      [
        50,
        msg`1 in 50`,
        msg`The first piece, then one in 50: long runs of one kind, with a tool that is checked each day.`,
      ],
    ]),
  },
  {
    id: 'also-prove',
    title: msg`Extra tests on every cable`,
    group: 'Proof',
    answers: (
      [
        [
          msg`nothing`,
          [],
          msg`Visual, callipers, pull, whole resistance and insulation; the rest when in doubt.`,
        ],
        [
          msg`joint`,
          ['joint'],
          msg`Each crimp against its own cable by four wires: finds what the whole hides.`,
        ],
        [
          msg`joint, section`,
          ['joint', 'section'],
          msg`An identical crimp is sawn as well: costs a lug and an hour, shows the air itself.`,
        ],
        [
          msg`under load`,
          ['drop', 'thermal'],
          msg`Volts and temperature once it carries: needs the load, and time.`,
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
