import { type Finding, stated } from '../../finding/finding.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import { amount, msg } from '../../words/message.ts';
import { term } from '../../words/terms.ts';
import type { EndSubject } from '../endSubject.ts';
import type { ResolvedEnd, SleeveFit } from '../resolveEnd.ts';
import { about } from './about.ts';

/** A lined sleeve over this, as supplied, takes more heat than a battery gun gives, mm. Craft practice. */
export const BATTERY_GUN_MM = 12;
/** A wall thinner than this marks a lug and does not insulate it, mm. Craft practice. */
export const INSULATES_MM = 1;

/** What the class of a sleeve’s wall means where it is put: stiff where the end moves, thin over what is live, thick for a small gun. */
export function sleeveUse(end: ResolvedEnd, subject: EndSubject): Finding[] {
  const { sleeve: fit } = end;
  if (!fit) return [];
  return [
    ...stiff(end, fit, subject),
    ...overLive(end, fit, subject),
    ...tooMuchForTheGun(end, fit, subject),
  ];
}

const base = (end: ResolvedEnd, { sleeve }: SleeveFit) => ({
  value: null,
  unit: '' as const,
  decimals: 0,
  work: {
    formula: msg`wall class of the sleeve, against where it is`,
    substituted: [
      msg`${SLEEVES[sleeve.kind].title}, ${sleeve.suppliedMm}/${sleeve.recoveredMm}, on end ${end.name}`,
    ],
    source: msg`craft practice; the maker’s sheet governs`,
    assumes: msg`what the run meets and what supports the end, as given`,
  },
});

function stiff(end: ResolvedEnd, fit: SleeveFit, { cable }: EndSubject): Finding[] {
  const moves = end.spec.support?.flexes === true || cable.run.meets.includes('flexing');
  if (fit.sleeve.kind !== 'medium-3' || !moves) return [];
  return [
    stated(
      {
        ...about(end, 'sleeve-stiff', msg`Sleeve where the end moves`),
        ...base(end, fit),
        because: msg`A medium wall goes stiff: the cable bends sharply where it ends, and breaks there.`,
        remedy: msg`Take a dual wall, or hold the cable still by a support behind the sleeve.`,
      },
      'watch',
    ),
  ];
}

function overLive(end: ResolvedEnd, fit: SleeveFit, { cable }: EndSubject): Finding[] {
  // A lined wall that is stretched thin still has its lining.
  const isThin = fit.wallMm < INSULATES_MM && !SLEEVES[fit.sleeve.kind].adhesive;
  if (cable.polarity !== 'positive' || !isThin || end.layers.includes('boot')) return [];
  return [
    stated(
      {
        ...about(end, 'sleeve-live', msg`Sleeve over a live lug`),
        ...base(end, fit),
        because: msg`A wall of ${amount(fit.wallMm, 'mm', 2)} marks the lug; it does not insulate it where a tool can fall on it.`,
        remedy: msg`Put a boot over it, or take a lined sleeve.`,
      },
      'watch',
    ),
  ];
}

function tooMuchForTheGun(end: ResolvedEnd, fit: SleeveFit, { shop }: EndSubject): Finding[] {
  const { shrinkBy } = shop.practice;
  const { adhesive } = SLEEVES[fit.sleeve.kind];
  if (shrinkBy !== 'battery gun' || !adhesive || fit.sleeve.suppliedMm <= BATTERY_GUN_MM) return [];
  return [
    stated(
      {
        ...about(end, 'shrink-tool', msg`Heat for the sleeve`),
        ...base(end, fit),
        because: msg`A ${term(shrinkBy)} does not get a lined sleeve over ${amount(BATTERY_GUN_MM, 'mm', 0)} and the lug under it hot: it shrinks outside and never wets.`,
        remedy: msg`Take a mains heat gun with a reflector nozzle, or a gentle torch; never a lighter.`,
      },
      'fails',
    ),
  ];
}
