import { digits } from '../model/units/figure.ts';
import { TOOL_KINDS } from '../model/tables/tools.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { usesDie, usesSolder } from '../model/method.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import { dieName, type PlainStep, type ReadyEnd } from './step.ts';
import { capital } from '../words/capital.ts';
import { say } from '../words/say.ts';

const HOT_WORK = say`Hot work: no fuel vapour, no charging battery near the flame, extinguisher at hand, eyes covered.`;

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
  const start = [strip(end, step), strands(end, step)];
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
    short: say`Strip ${name}`,
    order: say`Strip end ${name}`,
    figure: { value: stripMm, unit: 'mm', decimals: 0, means: say`of jacket off` },
    detail: say`Barrel ${lug.barrelMm} deep, and ${gapMm} of copper to show. Score round, bend, pull; slit along.`,
    why: say`Insulation under the barrel holds nothing and burns.`,
    caution: { of: 'blades', says: say`Cut away from the hand that holds the cable.` },
    lit: ['strip'],
  });

const strands = ({ name, method, strands: left }: ReadyEnd, step: Make) =>
  step('strands', {
    short: say`Strands ${name}`,
    order: say`Look at every strand`,
    detail: `${left.allowed > 0 ? say`Up to ${left.allowed} of ${left.count} may be plucked out; enter how many in Ends.` : say`The house allows none cut: cut back and strip again.`}${usesDie(method) ? say` Never tin them before the crimp.` : ''}`,
    why: say`A cut strand carries nothing and hides its loss.`,
    lit: ['strands'],
  });

const home = ({ name, lug }: ReadyEnd, step: Make) =>
  step('home', {
    short: say`Home ${name}`,
    order: say`Gather all strands and push them home in ${lug.label}`,
    figure: { value: lug.barrelMm, unit: 'mm', decimals: 0, means: say`into the barrel` },
    detail: lug.sightHole
      ? say`Copper must show in the sight hole.`
      : say`Mark the barrel depth on the strands and see the mark vanish.`,
    why: say`A short strand is a smaller cable.`,
    lit: ['barrel', 'strands'],
  });

const slug = (end: ReadyEnd, practice: HousePractice, step: Make) =>
  step('slug', {
    short: say`Slug ${end.name}`,
    order: say`Melt the slug in ${end.lug.label} and push the cable home`,
    figure: {
      value: solderNeed(end, end.lug, practice).massG,
      unit: 'g',
      decimals: 1,
      means: say`of pre-fluxed solder`,
    },
    detail: say`Lug upright in a vice, flame on the lug. Push in slowly, to the marked angle; hold still until it has set.`,
    why: say`The solder fills what the strands leave; under the crimp it will creep.`,
    caution: { of: 'hot work', says: HOT_WORK },
    lit: ['barrel', 'strands'],
  });

function crimps(end: ReadyEnd, practice: HousePractice, step: Make): PlainStep[] {
  const { name, die, crimpsInOrder, tool } = end;
  if (!die || !tool) return [];
  const { stop, hands } = TOOL_KINDS[tool.kind];
  const total = crimpsInOrder.length;
  const until = tool.mark ?? stop;
  const made = crimpsInOrder.map((centre, i) =>
    step(`crimp-${i + 1}`, {
      short: total > 1 ? say`Crimp ${name}, ${i + 1}` : say`Crimp ${name}`,
      order:
        i === 0
          ? say`Seat in the die, check, and close until ${until}`
          : say`Move to the second crimp${practice.turnBetween ? say`, turn a sixth,` : ''} and close again`,
      figure: { value: centre, unit: 'mm', decimals: 1, means: say`from the mouth to the middle of the die` },
      detail: say`${capital(dieName(end))}, ${die.die.widthMm} wide, ${tool.title}: ${hands}. Light pressure first: is the cable still home, the lug square?`,
      why: say`Air left between strands runs hot.`,
      caution: { of: 'tools', says: say`Fingers out, eyes covered, before the tool closes.` },
      lit: ['crimp'],
    }),
  );
  return [
    ...made,
    step('file', {
      short: say`File, tug ${name}`,
      order: say`Measure across ${die.leaves === 'hexagon' ? say`flats` : say`the indent`}, file the ears, tug`,
      figure: {
        value: die.die.acrossFlatsMm,
        unit: 'mm',
        decimals: 2,
        means: say`across, tool closed; to 2 % over`,
      },
      detail: say`Measure every crimp and enter it in Prove. Ears over 0.5 mm mean too tight a die.`,
      why: say`A tug finds the crimp that was never closed.`,
      lit: ['crimp'],
    }),
  ];
}

function solder(end: ReadyEnd, practice: HousePractice, step: Make): PlainStep[] {
  if (!usesSolder(end.method)) return [];
  const need = solderNeed(end, end.lug, practice);
  return [
    step('solder', {
      short: say`Solder ${end.name}`,
      order: say`Heat the lug and feed solder until it shows at the other end`,
      figure: {
        value: need.wireMm,
        unit: 'mm',
        decimals: 0,
        means: say`of ${practice.solder.wireMm} mm wire, ${digits(need.massG, 1)} g`,
      },
      detail: say`Rosin flux only. About ${digits(need.seconds, 0)} s: flame on the lug, not on the cable, the blue cone off the tin. Feed at the ${end.lug.sightHole ? say`sight hole` : say`mouth`}.`,
      why: say`A flame that lingers cooks the jacket; solder that never ran holds nothing.`,
      caution: { of: 'hot work', says: HOT_WORK },
      lit: ['barrel', 'strands'],
    }),
    step('cool', {
      short: say`Cool ${end.name}`,
      order: say`Let it cool undisturbed, then clean the flux off`,
      detail: say`Do not move it until it has set, do not quench it. No sleeve on it while it is hot.`,
      why: say`A joint moved while it sets is grey and weak.`,
      caution: { of: 'burns', says: say`Hot until it has cooled: hands off.` },
      lit: ['barrel'],
    }),
  ];
}

const screw = ({ name, lug, spec }: ReadyEnd, step: Make) =>
  step('screw', {
    short: say`Clamp ${name}`,
    order: say`Lay all strands under the plate of ${lug.label} and screw it down`,
    detail: say`To get home only${spec.temporary ? say`: it must be gone by ${spec.temporary.replaceBy}` : say`: set the day it must be gone by`}. Both screws evenly, tug, tighten again.`,
    why: say`A screw clamp corrodes and loosens: it is not an end.`,
    lit: ['barrel', 'strands'],
  });
