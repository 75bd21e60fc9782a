import { atLeast, atMost, type Finding, stated } from '../finding.ts';
import { faultScale } from '../sizing/fault.ts';
import { countedAmps, strictestAmps } from '../sizing/schoolFindings.ts';
import { digits, figure } from '../units/figure.ts';
import { about } from './about.ts';
import type { EndSubject } from './endSubject.ts';
import { usesDie } from './method.ts';
import type { ResolvedEnd } from './resolveEnd.ts';
import { ampsWithStrandsCut } from './strandsLeft.ts';

/** What cut strands cost: against the house, and against every limit of the size. Nothing while none is cut. */
export function strandsFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  const tinned = tinnedFirst(end);
  if (end.strands.cut === 0) return tinned;
  return [...tinned, house(end, subject), ...amps(end, subject), short(end, subject)];
}

function house(end: ResolvedEnd, { shop }: EndSubject): Finding {
  const { count, cut, allowed } = end.strands;
  const { practice } = shop;
  const none = practice.cutStrands === 'none';
  return atMost(
    {
      ...about(end, 'strands', 'Strands cut'),
      value: cut,
      unit: '',
      decimals: 0,
      because: none
        ? `${cut} of ${count} cut: this house allows none.`
        : `${cut} of ${count} cut, ${digits((cut / count) * 100, 2)} %; ${allowed} may be plucked out.`,
      ...(cut > allowed && { remedy: 'Cut back and strip again: the service loop pays for it.' }),
      work: {
        formula: 'cut ≤ what the workmanship class allows',
        substituted: [`${cut} of ${count} strands, ${digits((1 - cut / count) * 100, 2)} % left`],
        source: none
          ? 'house practice: no strand cut; NASA-STD-8739.4 allows none'
          : `IPC/WHMA-A-620 strand table, ${practice.workmanship === 'class2' ? 'class 2' : 'class 3'}, recalled`,
        assumes: end.spec.strands?.counted
          ? 'strands counted'
          : 'strands by the largest diameter of their class: count them for an exact figure',
      },
    },
    allowed,
  );
}

function amps(end: ResolvedEnd, { at, shop }: EndSubject): Finding[] {
  const allowed = strictestAmps(at, shop.practice);
  if (allowed === null) return [];
  const left = ampsWithStrandsCut(allowed, end.strands.share);
  const { count, cut } = end.strands;
  return [
    atLeast(
      {
        ...about(end, 'strands-amps', 'Amps with what is left'),
        value: left,
        unit: 'A',
        decimals: 1,
        because: `It may still carry ${figure(left, 'A', 1)} of ${figure(allowed, 'A', 0)}; the drop stays, as the loss is local.`,
        work: {
          formula: 'allowed · √(n_left ÷ n)',
          substituted: [
            `= ${digits(allowed, 1)} × √(${count - cut} ÷ ${count}) = ${figure(left, 'A', 1)}`,
            `the load counts as ${figure(countedAmps(at), 'A', 1)}`,
          ],
          source: 'resistance over a short length; the strictest of the schools switched on',
          assumes: 'the loss lies at the mouth of the barrel',
        },
      },
      countedAmps(at),
    ),
  ];
}

/** A short heats the neck that is left: it lasts so much shorter. */
function short(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const { count, cut, share } = end.strands;
  const scale = faultScale(share);
  return stated(
    {
      ...about(end, 'strands-short', 'Time in a short'),
      value: scale * 100,
      unit: '%',
      decimals: 1,
      because: `In a short the neck lasts ${figure(scale * 100, '%', 1)} of the whole cable’s time.`,
      work: {
        formula: 't ∝ S², so t_left = t · (n_left ÷ n)²',
        substituted: [`= (${count - cut} ÷ ${count})² = ${digits(scale, 3)}`],
        source: 'adiabatic rule, IEC 60364-5-54',
        assumes:
          cable.run.fuses.length > 0
            ? 'the fuse clears within the shorter time: see “Outlives a fault” in Gauge'
            : 'whatever opens the circuit',
      },
    },
    share < 0.9 ? 'watch' : 'holds',
  );
}

/** Tin under a crimp creeps and the crimp loosens: all agree. */
function tinnedFirst(end: ResolvedEnd): Finding[] {
  if (!end.spec.strands?.tinnedFirst) return [];
  const crimped = usesDie(end.method);
  return [
    stated(
      {
        ...about(end, 'tinned-first', 'Strands tinned first'),
        value: null,
        unit: '',
        decimals: 0,
        because: crimped
          ? 'Solder under a crimp creeps, and the crimp loosens.'
          : 'No die closes on this end: tinned strands do no harm.',
        ...(crimped && { remedy: 'Cut the tinned strands off and strip again; never tin before crimping.' }),
        work: {
          formula: 'never tin before crimping',
          substituted: [],
          source: 'craft practice, all schools',
          assumes: 'as said on this cable',
        },
      },
      crimped ? 'fails' : 'holds',
    ),
  ];
}
