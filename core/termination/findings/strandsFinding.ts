import { atLeast, atMost, type Finding, stated } from '../../finding/finding.ts';
import { faultScale } from '../../sizing/fault.ts';
import { countedAmps, strictestAmps } from '../../sizing/schoolFindings.ts';
import { amount, msg, numeral, verbatim } from '../../words/message.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { usesDie } from '../../model/method.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { ampsWithStrandsCut } from '../strandsLeft.ts';

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
      ...about(end, 'strands', msg`Strands cut`),
      value: cut,
      unit: '',
      decimals: 0,
      because: none
        ? msg`${cut} of ${count} cut: this shop allows none.`
        : msg`${cut} of ${count} cut, ${numeral((cut / count) * 100, 2)} %; ${allowed} may be plucked out.`,
      ...(cut > allowed && { remedy: msg`Cut back and strip again: the service loop pays for it.` }),
      work: {
        formula: msg`cut ≤ what the workmanship class allows`,
        substituted: [msg`${cut} of ${count} strands, ${numeral((1 - cut / count) * 100, 2)} % left`],
        source: none
          ? msg`house practice: no strand cut; NASA-STD-8739.4 allows none`
          : msg`IPC/WHMA-A-620 strand table, ${practice.workmanship === 'class2' ? msg`class 2` : msg`class 3`}, recalled`,
        assumes: end.spec.strands?.counted
          ? msg`strands counted`
          : msg`strands by the largest diameter of their class: count them for an exact figure`,
      },
    },
    allowed,
  );
}

function amps(end: ResolvedEnd, { at: assessed, shop }: EndSubject): Finding[] {
  const allowed = strictestAmps(assessed, shop.practice);
  if (allowed === null) return [];
  const left = ampsWithStrandsCut(allowed, end.strands.share);
  const { count, cut } = end.strands;
  return [
    atLeast(
      {
        ...about(end, 'strands-amps', msg`Amps with what is left`),
        value: left,
        unit: 'A',
        decimals: 1,
        because: msg`It may still carry ${amount(left, 'A', 1)} of ${amount(allowed, 'A', 0)}; the drop stays, as the loss is local.`,
        work: {
          formula: msg`allowed · √(n_left ÷ n)`,
          substituted: [
            verbatim`= ${numeral(allowed, 1)} × √(${count - cut} ÷ ${count}) = ${amount(left, 'A', 1)}`,
            msg`the load counts as ${amount(countedAmps(assessed), 'A', 1)}`,
          ],
          source: msg`resistance over a short length; the strictest of the methods switched on`,
          assumes: msg`the loss lies at the mouth of the barrel`,
        },
      },
      countedAmps(assessed),
    ),
  ];
}

/** A short heats the neck that is left: it lasts so much shorter. */
function short(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const { count, cut, share } = end.strands;
  const scale = faultScale(share);
  return stated(
    {
      ...about(end, 'strands-short', msg`Time in a short`),
      value: scale * 100,
      unit: '%',
      decimals: 1,
      because: msg`In a short the neck lasts ${amount(scale * 100, '%', 1)} of the whole cable’s time.`,
      work: {
        formula: msg`t ∝ S², so t_left = t · (n_left ÷ n)²`,
        substituted: [verbatim`= (${count - cut} ÷ ${count})² = ${numeral(scale, 3)}`],
        source: msg`adiabatic rule, IEC 60364-5-54`,
        assumes:
          cable.run.fuses.length > 0
            ? msg`the fuse clears within the shorter time: see “Short-circuit withstand” in Gauge`
            : msg`whatever opens the circuit`,
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
        ...about(end, 'tinned-first', msg`Strands tinned first`),
        value: null,
        unit: '',
        decimals: 0,
        because: crimped
          ? msg`Solder under a crimp creeps, and the crimp loosens.`
          : msg`No die closes on this end: tinned strands do no harm.`,
        ...(crimped && {
          remedy: msg`Cut the tinned strands off and strip again; never tin before crimping.`,
        }),
        work: {
          formula: msg`never tin before crimping`,
          substituted: [],
          source: msg`craft practice, all schools`,
          assumes: msg`as entered on this cable`,
        },
      },
      crimped ? 'fails' : 'holds',
    ),
  ];
}
