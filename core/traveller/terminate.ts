import {
  capitalised,
  listed,
  type Message,
  msg,
  numeral,
  verbatim,
  amount,
  briefly,
} from '../words/message.ts';
import { TOOL_KINDS } from '../model/tables/tools.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { usesDie, usesSolder } from '../model/method.ts';
import type { Lug } from '../model/shop.ts';
import { asideMm, isStraight } from '../termination/lugs/palmAngle.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import { fromTube } from './fromTube.ts';
import { dieName, HOT_WORK, type PlainStep, type ReadyEnd } from './step.ts';

/**
 * The steps from a bare end to one that is held and looked at, by the method of the end.
 *
 * @param beforeHold put in before anything holds the lug: the clocking of the second end
 */
export function terminate(end: ReadyEnd, practice: HousePractice, ...beforeHold: PlainStep[]): PlainStep[] {
  const step = (key: string, rest: Omit<PlainStep, 'id' | 'end'>): PlainStep => ({
    id: `${key}.${end.name}`,
    end: end.name,
    ...rest,
  });
  const start = [...fromTube(end), strip(end, step), strands(end, step)];
  switch (end.method) {
    case 'screwed':
      return [...start, ...beforeHold, screw(end, step)];
    case 'solder':
      return [...start, home(end, step), ...beforeHold, ...solder(end, practice, step)];
    case 'slug then crimp':
      // Once the slug has set nothing turns: the angle is marked with the lug held on dry.
      return [...start, ...beforeHold, slug(end, practice, step), ...crimps(end, practice, step)];
    case 'crimp then solder':
      return [
        ...start,
        home(end, step),
        ...beforeHold,
        ...crimps(end, practice, step),
        ...solder(end, practice, step),
      ];
    case 'crimp':
      return [...start, home(end, step), ...beforeHold, ...crimps(end, practice, step)];
  }
}

type Make = (key: string, rest: Omit<PlainStep, 'id' | 'end'>) => PlainStep;

const strip = ({ name, lug, gapMm, stripMm }: ReadyEnd, step: Make) =>
  step('strip', {
    short: msg`Strip ${name}`,
    order: msg`Strip end ${name}`,
    figure: { value: stripMm, unit: 'mm', decimals: 0, means: msg`of jacket to strip` },
    detail: msg`Barrel ${lug.barrelMm} deep, and ${gapMm} of copper to show. Score round, bend, pull; slit along.`,
    why: msg`Insulation under the barrel holds nothing and burns.`,
    caution: { of: 'blades', says: msg`Cut away from the hand that holds the cable.` },
    lit: ['strip'],
  });

const strands = ({ name, method, strands: left }: ReadyEnd, step: Make) =>
  step('strands', {
    short: msg`Strands ${name}`,
    order: msg`Inspect every strand`,
    detail: verbatim`${left.allowed > 0 ? msg`Up to ${left.allowed} of ${left.count} may be plucked out; enter how many in Ends.` : msg`No cut strands allowed: cut back and strip again.`}${usesDie(method) ? msg` Never tin them before the crimp.` : ''}`,
    why: msg`A cut strand carries nothing and hides its loss.`,
    lit: ['strands'],
  });

/** Which way a bent palm goes is settled before the barrel is closed. */
const palmLies = (lug: Lug): Message =>
  lug.angleDeg > 0
    ? msg`Its palm is bent ${numeral(lug.angleDeg, 0)}° off the cable, the hole ${amount(asideMm(lug), 'mm', 0)} to one side: turn that side to where the stud is, before the die closes.`
    : msg`Its palm lies ${amount(lug.offsetMm, 'mm', 0)} beside the cable: turn that side to the stud, before the die closes.`;

const home = ({ name, lug }: ReadyEnd, step: Make) =>
  step('home', {
    short: msg`Push home ${name}`,
    order: msg`Gather all strands and push them home in ${lug.label}`,
    figure: { value: lug.barrelMm, unit: 'mm', decimals: 0, means: msg`into the barrel` },
    detail: listed(
      [
        lug.sightHole
          ? msg`Copper must show in the sight hole.`
          : msg`Mark the barrel depth on the strands and see the mark vanish.`,
        ...(isStraight(lug) ? [] : [palmLies(lug)]),
      ],
      ' ',
    ),
    why: msg`A short strand is a smaller cable.`,
    lit: ['barrel', 'strands'],
  });

const slug = (end: ReadyEnd, practice: HousePractice, step: Make) =>
  step('slug', {
    short: msg`Slug ${end.name}`,
    order: msg`Melt the slug in ${end.lug.label} and push the cable home`,
    figure: {
      value: solderNeed(end, end.lug, practice).massG,
      unit: 'g',
      decimals: 1,
      means: msg`of pre-fluxed solder`,
    },
    detail: msg`Lug upright in a vice, flame on the lug. Push in slowly, to the marked angle; hold still until it has set.`,
    why: msg`The solder fills what the strands leave; under the crimp it will creep.`,
    caution: { of: 'hot work', says: HOT_WORK },
    lit: ['barrel', 'strands'],
  });

function crimps(end: ReadyEnd, practice: HousePractice, step: Make): PlainStep[] {
  const { name, die, crimpsInOrder, tool } = end;
  if (!die || !tool) return [];
  const { stop, hands, minded } = TOOL_KINDS[tool.kind];
  const total = crimpsInOrder.length;
  const isUnder = die.leaves === 'indent' && practice.dieStep === 'one under';
  const stopsAt = die.die.mark || tool.mark || stop;
  const until = isUnder ? msg`${stopsAt}, then one step under` : stopsAt;
  const { blows } = die.die;
  const made = crimpsInOrder.map((centre, i) =>
    step(`crimp-${i + 1}`, {
      short: total > 1 ? msg`Crimp ${name}, ${i + 1}` : msg`Crimp ${name}`,
      order:
        i === 0
          ? msg`Seat in the die, check, and close until ${until}`
          : msg`Move to the second crimp${practice.turnBetween ? msg`, turn a sixth,` : ''} and close again`,
      figure: { value: centre, unit: 'mm', decimals: 1, means: msg`from the mouth to the middle of the die` },
      detail: msg`${capitalised(dieName(end))}, ${die.die.widthMm} wide, ${tool.title}: ${hands}. Light pressure first: is the cable still home, the lug square?${minded && verbatim` ${minded}`}${blows === undefined ? '' : msg` About ${blows} blows to the mark.`}${i > 0 && !practice.turnBetween && die.leaves === 'hexagon' ? msg` Flash at the parting line: turn a sixth first.` : ''}`,
      why: msg`Air left between strands runs hot.`,
      caution: { of: 'tools', says: msg`Fingers out, eyes covered, before the tool closes.` },
      lit: ['crimp'],
    }),
  );
  return [
    ...made,
    step('file', {
      short: msg`File and tug-test ${name}`,
      order: msg`Measure across ${die.leaves === 'hexagon' ? msg`flats` : msg`the indent`}, file the ears, tug`,
      figure: {
        value: die.die.acrossFlatsMm,
        unit: 'mm',
        decimals: 2,
        means: msg`across flats with the dies shut; up to 2 % more is fine`,
      },
      detail: msg`Measure every crimp and enter it in Prove. Ears over ${amount(0.5, 'mm', 1)} mean too tight a die.`,
      why: msg`A tug finds the crimp that was never closed.`,
      lit: ['crimp'],
    }),
  ];
}

function solder(end: ReadyEnd, practice: HousePractice, step: Make): PlainStep[] {
  if (!usesSolder(end.method)) return [];
  const need = solderNeed(end, end.lug, practice);
  return [
    step('solder', {
      short: msg`Solder ${end.name}`,
      order:
        need.loadedG > 0
          ? msg`Heat ${end.lug.label} until its own solder runs round every strand`
          : msg`Heat the lug and feed solder until it shows at the other end`,
      ...(need.massG > 0 && {
        figure: {
          value: need.wireMm,
          unit: 'mm',
          decimals: 0,
          means: msg`of ${briefly(practice.solder.wireMm, 'mm', 2)} wire, ${amount(need.massG, 'g', 1)}`,
        },
      }),
      detail: msg`Rosin flux only. About ${numeral(need.seconds, 0)} s: flame on the lug, not on the cable, the blue cone off the tin. Feed at the ${end.lug.sightHole ? msg`sight hole` : msg`mouth`}.`,
      why: msg`A flame that lingers cooks the jacket; solder that never ran holds nothing.`,
      caution: { of: 'hot work', says: HOT_WORK },
      lit: ['barrel', 'strands'],
    }),
    step('cool', {
      short: msg`Cool ${end.name}`,
      order: msg`Let it cool undisturbed, then clean the flux off`,
      detail: msg`Do not move it until it has set, do not quench it. No sleeve on it while it is hot.`,
      why: msg`A joint moved while it sets is grey and weak.`,
      caution: { of: 'burns', says: msg`Hot until it has cooled: hands off.` },
      lit: ['barrel'],
    }),
  ];
}

const screw = ({ name, lug, spec }: ReadyEnd, step: Make) =>
  step('screw', {
    short: msg`Clamp ${name}`,
    order: msg`Lay all strands under the plate of ${lug.label} and screw it down`,
    detail: msg`To get home only${spec.temporary ? msg`: it must be replaced by ${spec.temporary.replaceBy}` : msg`: set the day it must be replaced by`}. Both screws evenly, tug, tighten again.`,
    why: msg`What is only screwed down corrodes and loosens: it is no permanent end.`,
    lit: ['barrel', 'strands'],
  });
