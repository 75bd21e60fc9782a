import { LAYERS } from '../../model/tables/layers.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import { type Finding, stated, type State } from '../../finding/finding.ts';
import { type Message, amount, capitalised, msg, numeral, listed } from '../../words/message.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { MOULDED } from '../../model/tables/moulded.ts';
import type { Lug } from '../../model/shop.ts';
import { capFor, capTask } from '../sleeves/endCap.ts';
import { isDone, isHeld } from '../../model/stepId.ts';
import { overLayersMm } from '../sleeves/layers.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';

import { term } from '../../words/terms.ts';

/** What slides on, in what order, and whether anybody could mistake the pole. */
export function layerFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  return [
    nestingOrder(end, subject),
    ...(end.layers.includes('band') ? [band(end)] : []),
    ...(end.sleeve && !SLEEVES[end.sleeve.sleeve.kind].adhesive
      ? [end.sleeve.seals ? ring(end, subject) : unsealed(end, subject)]
      : []),
    polarity(end, subject),
    ...(end.spec.capped && end.lug ? [capped(end, end.lug)] : []),
  ];
}

/** An end that waits without being connected: whether a cap goes over it and seals, and that it must be dead or guarded. */
function capped(end: ResolvedEnd, lug: Lug): Finding {
  const part = capFor(end, lug);
  const { passMm, gripMm } = capTask(end, lug);
  return stated(
    {
      ...about(end, 'cap', msg`End cap`),
      value: null,
      unit: '',
      decimals: 0,
      because: part
        ? msg`${capitalised(MOULDED[part].title)}: it goes over the palm and seals on the cable. It is cut off before the end is bolted on.`
        : msg`No customary cap goes over this palm and grips the cable.`,
      ...(!part && { remedy: msg`Cap it before the lug goes on, or bolt it to an insulated post.` }),
      work: {
        formula: msg`supplied ≥ 1.1 × thickest, recovered ≤ 0.9 × thinnest`,
        substituted: [msg`pass ${amount(passMm, 'mm', 1)}, grip ${amount(gripMm, 'mm', 1)}`],
        source: msg`customary sizes`,
        assumes: msg`the other end is off, or its fuse is out: a cap is no cover for a live end that can be pulled off`,
      },
    },
    part ? 'holds' : 'fails',
  );
}

function nestingOrder(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const held = isHeld(end.name, cable.done) && !isDone(cable, `shrink.${end.name}`);
  const blocked = end.nesting.filter(({ afterLug }) => !afterLug);
  const said = isDone(cable, 'layers') || isDone(cable, `layers.${end.name}`);
  const forgotten = held && !said && blocked.length > 0 && !end.spec.sleeveAfterLug;
  return stated(
    {
      ...about(end, 'layers', msg`Put on before the lug`),
      value: blocked.length,
      unit: '',
      decimals: 0,
      because: forgotten
        ? msg`The lug is on and the layers were never confirmed: ${listed(
            blocked.map(({ title }) => title),
            ', ',
          )} cannot pass it now.`
        : blocked.length > 0
          ? msg`${listed(
              blocked.map(({ title }) => title),
              ', ',
            )}: on before the lug, or never.`
          : msg`All of it could still pass the palm.`,
      ...(forgotten && { remedy: msg`Check the cable; if one is missing, cut back and remake the end.` }),
      work: {
        formula: msg`passes the lug when it opens to 1.1 × 2·(w + t) ÷ π`,
        substituted: end.nesting.map(
          ({ title, mustPassMm, afterLug }, i) =>
            msg`${i + 1}: ${title}, over ${numeral(mustPassMm, 1)} mm${afterLug ? msg`, could still pass the lug` : ''}`,
        ),
        source: msg`craft practice: closest to the jacket first, the heat shrink last`,
        assumes: msg`walls and openings typical of each layer`,
      },
    },
    forgotten ? 'watch' : 'holds',
  );
}

function band(end: ResolvedEnd): Finding {
  return stated(
    {
      ...about(end, 'band', msg`Coloured band`),
      value: null,
      unit: '',
      decimals: 0,
      because: end.band
        ? msg`${term(end.bandColour)} ${end.band.suppliedMm}/${end.band.recoveredMm} over the sleeve.`
        : msg`No thin ${term(end.bandColour)} sleeve owned passes and grips the shrunk one.`,
      ...(!end.band && { remedy: msg`Buy thin 2:1 sleeve in ${term(end.bandColour)}.` }),
      work: {
        formula: msg`supplied ≥ 1.1 × and recovered ≤ 0.9 × the shrunk sleeve`,
        substituted: [],
        source: msg`customary thin-wall sizes`,
        assumes: msg`dual wall mostly comes in black`,
      },
    },
    end.band ? 'holds' : 'fails',
  );
}

/** Under a plain sleeve the seal is a ring laid by hand: enough in the dry, to be watched in the wet. */
function ring(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const isWet = cable.run.meets.includes('wet');
  return stated(
    {
      ...about(end, 'ring', msg`Ring of adhesive`),
      value: null,
      unit: '',
      decimals: 0,
      because: isWet
        ? msg`In the wet a plain sleeve is only as tight as the ring of adhesive under it.`
        : msg`A plain sleeve marks; a ring of flexible adhesive between jacket and lug seals under it.`,
      remedy: isWet
        ? msg`Take a sleeve lined with adhesive; else lay the ring just before shrinking, and see it come out at both ends.`
        : msg`Lay the ring just before shrinking, and see it come out at both ends.`,
      work: {
        formula: msg`plain sleeve + ring of adhesive = sealed`,
        substituted: [],
        source: msg`craft practice, the alternative school`,
        assumes: msg`house practice: seal by adhesive ring`,
      },
    },
    isWet ? 'watch' : 'holds',
  );
}

/** Under a plain sleeve without anything to seal it: right in the dry, and water creeps up the strands elsewhere. */
function unsealed(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const isWet = cable.run.meets.includes('wet');
  return stated(
    {
      ...about(end, 'ring', msg`Seal of the sleeve`),
      value: null,
      unit: '',
      decimals: 0,
      because: isWet
        ? msg`In the wet a plain sleeve with nothing under it lets water into the strands.`
        : msg`A plain sleeve with nothing under it insulates and marks; it does not seal.`,
      ...(isWet && { remedy: msg`Take a sleeve lined with adhesive, or lay a ring of adhesive under it.` }),
      work: {
        formula: msg`lining or ring = sealed`,
        substituted: [msg`plain sleeve, no ring`],
        source: msg`craft practice`,
        assumes: isWet ? msg`the run is wet` : msg`the run stays dry`,
      },
    },
    isWet ? 'fails' : 'holds',
  );
}

const TELLS = { positive: 'red', negative: 'black' } as const;

/** Whether jacket, band and label say one and the same pole. */
function polarity(end: ResolvedEnd, { cable, conductor }: EndSubject): Finding {
  const { polarity: pole, jacket } = cable;
  const facts = {
    ...about(end, 'polarity', msg`Polarity marked`),
    value: null,
    unit: '',
    decimals: 0,
    work: {
      formula: msg`jacket, band and label name one pole`,
      substituted: [
        msg`${term(pole)}; ${term(jacket)} jacket${end.layers.includes('band') ? msg`, ${term(end.bandColour)} band` : ''}${end.layers.includes('label') ? msg`, label` : ''}`,
        msg`over its layers ${numeral(overLayersMm(conductor.outerMm, end.layers), 1)} mm`,
      ],
      source: msg`craft practice: whatever the colour school, the record names the pole`,
      assumes: msg`${LAYERS.label.title} carries the tag and the pole`,
    },
  } as const;
  const said = (state: State, because: Message, remedy?: Message) =>
    stated({ ...facts, because, ...(remedy && { remedy }) }, state);
  if (pole === 'link') return said('holds', msg`A link between batteries: its tag identifies it.`);
  const sleeve = end.sleeve?.sleeve.colour;
  const marks = [
    jacket,
    ...(sleeve === TELLS.positive ? [sleeve] : []),
    ...(end.layers.includes('band') ? [end.bandColour] : []),
  ];
  const outermost = marks.at(-1) ?? jacket;
  if (outermost === TELLS[pole]) return said('holds', msg`${term(outermost)} says ${term(pole)}.`);
  // Black on a positive only says nothing: dual wall is mostly black. Red on a negative says the wrong thing.
  if (outermost === TELLS.positive) {
    return said('fails', msg`red on a negative cable says the other pole.`, msg`Put a black band over it.`);
  }
  return end.layers.includes('label')
    ? said(
        'watch',
        msg`Only the label says ${term(pole)}: print the pole on it.`,
        msg`A ${TELLS[pole]} band marks it.`,
      )
    : said('fails', msg`Nothing on this end marks it ${term(pole)}.`, msg`Give it a label or a band.`);
}
