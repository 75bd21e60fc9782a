import { called } from '../model/catalogue/called.ts';
import type { WorkedCable } from '../cableWork.ts';
import { type Finding, worstFirst } from '../finding/finding.ts';
import { isAbout, type Topic } from '../finding/topics.ts';
import { tightenedStud, torqueText } from '../fit/torque.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import { type ConductorSize, sizeNamed } from '../model/tables/size.ts';
import { STUDS } from '../model/tables/studs.ts';
import { figure, type Unit } from '../model/units/figure.ts';
import { governingDrop, hottestC } from '../sizing/governing.ts';
import { type Message, msg, tell, verbatim } from '../words/message.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';

/** One end on a card. */
export interface CardEnd {
  readonly at: string;
  readonly lug: string | null;
  readonly stripMm: number | null;
  readonly die: string | null;
  readonly crimps: number;
  readonly sleeve: Message | null;
  readonly sleeveCutMm: number | null;
  readonly torqueNm: readonly [number, number];
}
/** A figure on a card. */
export interface CardFigure {
  readonly key: 'fuse' | 'drop' | 'hottest' | 'load' | 'strip' | 'cut' | 'crimps';
  readonly title: Message;
  readonly value: number | null;
  readonly unit: Unit;
  readonly decimals: number;
  /** How it came about; null where nothing was found of it. */
  readonly finding: Finding | null;
}
/** Everything one needs of a cable on one sheet, largest first. */
export interface Card {
  readonly tag: string;
  readonly size: ConductorSize;
  readonly parallel: number;
  readonly isProposed: boolean;
  readonly kind: string;
  readonly cutMm: number | null;
  readonly ends: Readonly<Record<EndName, CardEnd>>;
  readonly palmAngleDeg: number;
  readonly figures: readonly CardFigure[];
  /** The cut length, what is stripped at end A and how often it is crimped, each with its work. */
  readonly making: readonly CardFigure[];
  /** What governs the size; null where nothing thinner is refused. */
  readonly governs: Finding | null;
  /** What fails, then what is not proved. */
  readonly troubles: readonly Finding[];
}

function endOf({ cable, work }: WorkedCable, name: EndName): CardEnd {
  const end = work.ends[name];
  return {
    at: cable.ends[name].at,
    lug: end.lug ? called(end.lug.label) : null,
    stripMm: end.stripMm,
    die: end.die ? end.die.die.stamp : null,
    crimps: end.crimps.length,
    sleeve: end.sleeve ? verbatim`${end.sleeve.sleeve.suppliedMm}/${end.sleeve.sleeve.recoveredMm}` : null,
    sleeveCutMm: end.sleeve?.cutMm ?? null,
    torqueNm: STUDS[tightenedStud(end)].torqueNm,
  };
}

/** The limit on the size that is used up most: it governs. */
function governing({ work }: WorkedCable): Finding | null {
  const limits = work.findings.filter(
    ({ stage, use, state }) => stage === 'gauge' && use !== undefined && state !== 'unproved',
  );
  return limits.reduce<Finding | null>(
    (most, own) => (most && (most.use ?? 0) >= (own.use ?? 0) ? most : own),
    null,
  );
}

/** What is a matter of making and fitting is no trouble of a plan. */
const isPlanned = ({ stage }: Finding): boolean => stage !== 'prove' && stage !== 'fit' && stage !== 'make';

/**
 * A cable on one sheet: size and kind, cut length, both ends, the figures that matter, what governs, and what fails or is
 * not proved of its plan.
 *
 * @example cardOf({ cable, work }).ends.A.lug // "70-10 heavy"
 */
export function cardOf(worked: WorkedCable): Card {
  const { cable, work } = worked;
  const { taken, fuseToCome, isProposed } = work.choice;
  const { at: assessed } = taken;
  const drop = governingDrop(assessed, cable.run);
  const fuse = cable.run.fuses[0] ?? fuseToCome;
  const found = (...topics: Topic[]) => work.findings.find(isAbout(...topics)) ?? null;
  // One that stands elsewhere in its circuit or in the system protects it too.
  const elsewhere = found('guards')?.value ?? null;
  const hottest = hottestC(assessed);
  const made = (key: 'strip' | 'cut' | 'crimps', title: Message, value: number | null): CardFigure => ({
    ...{ key, title, value, unit: key === 'crimps' ? '' : 'mm', decimals: 0, finding: found(key) },
  });
  const figures: CardFigure[] = [
    {
      key: 'fuse',
      title: cable.run.fuses.length > 0 || !fuse ? msg`Fuse` : msg`Fuse to fit`,
      value: fuse?.ratingA ?? elsewhere,
      unit: 'A',
      decimals: 0,
      finding: found('carries') ?? found('guards'),
    },
    {
      ...{ key: 'drop', title: msg`Drop`, value: drop.percent, unit: '%', decimals: 2 },
      finding: found(drop.of === 'surge' ? 'duty-drop' : 'drop'),
    },
    {
      ...{ key: 'hottest', title: msg`Hottest`, value: hottest, unit: '°C', decimals: 0 },
      finding: found(hottest === assessed.settledC ? 'settled' : 'duty-peak'),
    },
    {
      ...{ key: 'load', title: msg`Load`, value: drop.amps, unit: 'A', decimals: 0 },
      finding: found(drop.of === 'surge' ? 'duty-drop' : 'current'),
    },
  ];
  const troubles = worstFirst(
    work.findings.filter((own) => isPlanned(own) && (own.state === 'fails' || own.state === 'unproved')),
  ).filter((own) => !isAbout('short')(own) || own.state === 'fails');
  return {
    tag: cable.tag,
    size: assessed.size,
    parallel: assessed.parallel,
    isProposed,
    kind: called(work.kind.title),
    cutMm: work.lengths?.cutMm ?? null,
    ends: Object.fromEntries(END_NAMES.map((name) => [name, endOf(worked, name)])) as Card['ends'],
    palmAngleDeg: cable.palmAngleDeg,
    figures,
    making: [
      made('cut', msg`Cut`, work.lengths?.cutMm ?? null),
      made('strip', msg`Strip`, work.ends.A.stripMm),
      made('crimps', msg`Crimps`, work.ends.A.crimps.length || null),
    ],
    governs: governing(worked),
    troubles,
  };
}

/** A card as text, a line a thing: to be sent on. */
export function cardText(worked: WorkedCable): string {
  const card = cardOf(worked);
  const { cable } = worked;
  const mm = (value: number | null) => (value === null ? '–' : figure(value, 'mm', 0));
  const end = (name: EndName): string => {
    const { at: place, lug, stripMm, die, crimps, sleeve, sleeveCutMm, torqueNm } = card.ends[name];
    return [
      `${name}${place ? `, ${place}` : ''}: ${lug ?? say`no lug`}`,
      say`strip ${mm(stripMm)}`,
      ...(die === null ? [] : [say`die ${die || say`unmarked`}, crimps ${crimps}`]),
      ...(sleeve ? [say`sleeve ${tell(sleeve)}, cut ${mm(sleeveCutMm)}`] : []),
      say`torque ${torqueText(torqueNm)}`,
    ].join(', ');
  };
  return [
    `${card.tag}: ${cable.ends.A.at || 'A'} → ${cable.ends.B.at || 'B'}`,
    `${card.parallel > 1 ? `${card.parallel} × ` : ''}${tell(sizeNamed(card.size))} ${card.kind.toLowerCase()}, ${word(cable.jacket)}`,
    say`cut ${mm(card.cutMm)}`,
    end('A'),
    end('B'),
    card.figures
      .flatMap(({ title, value, unit, decimals }) =>
        value === null ? [] : [`${tell(title)} ${figure(value, unit, decimals)}`],
      )
      .join(', '),
    ...card.troubles.map(({ title, because }) => `${tell(title)}: ${tell(because)}`),
  ].join('\n');
}
