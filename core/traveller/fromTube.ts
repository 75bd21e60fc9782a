import { madeFrom } from '../termination/lugs/tubeLug.ts';
import { amount, msg, numeral } from '../words/message.ts';
import { HOT_WORK, type PlainStep, type ReadyEnd } from './step.ts';

/** Kinds of step at which a lug is made: a cable cut back keeps the lug that is not on it yet. */
export const MAKES_LUG: readonly string[] = [
  ...['tube-cut', 'tube-ream', 'tube-bar', 'tube-flatten', 'tube-drill', 'tube-finish'],
];

/** The steps that make the lug of an end from tube, before the end itself; none where it was bought. */
// oxlint-disable-next-line max-lines-per-function -- six steps, one after the other
export function fromTube({ name, lug, wholeMm2 }: ReadyEnd): PlainStep[] {
  const tube = madeFrom(lug, wholeMm2);
  if (!tube || !lug.madeHere) return [];
  const { wallMm } = lug.madeHere;
  const step = (key: string, rest: Omit<PlainStep, 'id' | 'end' | 'lit'>): PlainStep => ({
    id: `${key}.${name}`,
    end: name,
    lit: key === 'tube-ream' || key === 'tube-bar' ? ['barrel'] : ['palm', 'barrel'],
    ...rest,
  });
  const mm = (value: number, means: ReturnType<typeof msg>, decimals = 0) => ({
    figure: { value, unit: 'mm' as const, decimals, means },
  });
  return [
    step('tube-cut', {
      short: msg`Cut tube ${name}`,
      order: msg`Cut ${numeral(lug.outerMm, 1)} × ${numeral(wallMm, 1)} copper tube for the lug of ${name}, square`,
      ...mm(tube.cutMm, msg`of tube`),
      detail: msg`Barrel ${numeral(tube.barrelMm, 0)}, neck ${numeral(tube.neckMm, 0)}, flat ${numeral(tube.flatMm, 0)}. Annealed tube: heat it dull red and let it cool where it is hard.`,
      why: msg`Hard tube cracks where it is folded.`,
      caution: { of: 'blades', says: msg`Cut edges of tube are sharp: gloves on.` },
    }),
    step('tube-ream', {
      short: msg`Ream ${name}`,
      order: msg`Ream both ends, and clean the inside bright`,
      ...mm(lug.boreMm, msg`bore, clean to the metal`, 1),
      detail: msg`Fine abrasive on a stick, all the way down; blow it out. The cable must slide in without a strand catching.`,
      why: msg`A burr turns strands back, and what is dull inside does not join.`,
    }),
    step('tube-bar', {
      short: msg`Bar in ${name}`,
      order: msg`Push a steel bar that fills the bore in from the mouth`,
      ...mm(tube.barrelMm, msg`from the mouth to the end of the bar`),
      detail: msg`The flat begins ${amount(tube.neckMm, 'mm', 0)} beyond the bar: mark it. Nearer, and the tube tears where it opens.`,
      why: msg`The bar keeps the barrel round while the rest is flattened.`,
    }),
    step('tube-flatten', {
      short: msg`Flatten ${name}`,
      order: msg`Flatten the tube beyond the mark, both walls together`,
      ...mm(tube.palmThicknessMm, msg`thick, ${amount(tube.palmWidthMm, 'mm', 1)} wide`, 1),
      detail: msg`In a vice with smooth jaws, slowly and square to the barrel. Draw the bar, and look at the neck with a glass: no crack, no fold.`,
      why: msg`A crack in the neck is the first thing to get hot.`,
      caution: { of: 'tools', says: msg`Fingers out of the jaws, eyes covered.` },
    }),
    step('tube-drill', {
      short: msg`Drill ${name}`,
      order: msg`Drill the hole, in the middle of the flat`,
      ...mm(tube.holeMm, msg`across, ${amount(tube.flatMm / 2, 'mm', 1)} from the end`, 1),
      detail: msg`Centre-punch, pilot, then to size; at least ${amount(tube.holeMm / 2, 'mm', 1)} of metal on every side. Deburr both faces.`,
      why: msg`With less metal beside the hole the palm bends and tears as it is tightened.`,
      caution: { of: 'tools', says: msg`Clamp it: copper grabs the drill and spins. Eyes covered.` },
    }),
    step('tube-finish', {
      short: msg`Round, tin ${name}`,
      order: msg`Round the corners, file the faces flat, and tin the outside`,
      ...mm(tube.palmWidthMm / 2, msg`radius of the end`, 1),
      detail: msg`Tin the palm and the outside of the barrel${lug.plating === 'tin' ? '' : msg`; leave the inside bright for a crimp`}. Wipe it while it runs, so that the palm stays flat.`,
      why: msg`Bare copper goes green, and a high spot on the palm takes all the pressure.`,
      caution: { of: 'hot work', says: HOT_WORK },
    }),
  ];
}
