import { LAYERS } from '../../model/tables/layers.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import { type Finding, stated, type State } from '../../finding/finding.ts';
import { digits } from '../../model/units/figure.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { isDone, isHeld } from '../../model/stepId.ts';
import { overLayersMm } from '../sleeves/layers.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { say } from '../../words/say.ts';
import { word } from '../../words/terms.ts';

/** What slides on, in what order, and whether anybody could mistake the pole. */
export function layerFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  return [
    nestingOrder(end, subject),
    ...(end.layers.includes('band') ? [band(end)] : []),
    ...(end.sleeve && !SLEEVES[end.sleeve.sleeve.kind].adhesive ? [ring(end, subject)] : []),
    polarity(end, subject),
  ];
}

function nestingOrder(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const held = isHeld(end.name, cable.done) && !isDone(cable, `shrink.${end.name}`);
  const blocked = end.nesting.filter(({ afterLug }) => !afterLug);
  const said = isDone(cable, 'layers') || isDone(cable, `layers.${end.name}`);
  const forgotten = held && !said && blocked.length > 0 && !end.spec.sleeveAfterLug;
  return stated(
    {
      ...about(end, 'layers', say`Before the lug`),
      value: blocked.length,
      unit: '',
      decimals: 0,
      because: forgotten
        ? say`The lug is on and the layers were never confirmed: ${blocked.map(({ title }) => title).join(', ')} cannot pass it now.`
        : blocked.length > 0
          ? say`${blocked.map(({ title }) => title).join(', ')}: on before the lug, or never.`
          : say`All of it could still pass the palm.`,
      ...(forgotten && { remedy: say`Look at the cable; if one is missing, cut back and end it again.` }),
      work: {
        formula: say`passes the lug when it opens to 1.1 × 2·(w + t) ÷ π`,
        substituted: end.nesting.map(
          ({ title, mustPassMm, afterLug }, i) =>
            say`${i + 1}: ${title}, over ${digits(mustPassMm, 1)} mm${afterLug ? say`, could still pass the lug` : ''}`,
        ),
        source: say`craft practice: closest to the jacket first, the heat shrink last`,
        assumes: say`walls and openings typical of each layer`,
      },
    },
    forgotten ? 'watch' : 'holds',
  );
}

function band(end: ResolvedEnd): Finding {
  return stated(
    {
      ...about(end, 'band', say`Coloured band`),
      value: null,
      unit: '',
      decimals: 0,
      because: end.band
        ? say`${word(end.bandColour)} ${end.band.suppliedMm}/${end.band.recoveredMm} over the sleeve.`
        : say`No thin ${word(end.bandColour)} sleeve owned passes and grips the shrunk one.`,
      ...(!end.band && { remedy: say`Buy thin 2:1 sleeve in ${word(end.bandColour)}.` }),
      work: {
        formula: say`supplied ≥ 1.1 × and recovered ≤ 0.9 × the shrunk sleeve`,
        substituted: [],
        source: say`customary thin-wall sizes`,
        assumes: say`dual wall mostly comes in black`,
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
      ...about(end, 'ring', say`Ring of adhesive`),
      value: null,
      unit: '',
      decimals: 0,
      because: isWet
        ? say`In the wet a plain sleeve is only as tight as the ring of adhesive under it.`
        : say`A plain sleeve marks; a ring of flexible adhesive between jacket and lug seals under it.`,
      remedy: isWet
        ? say`Take a sleeve lined with adhesive; else lay the ring just before shrinking, and see it come out at both ends.`
        : say`Lay the ring just before shrinking, and see it come out at both ends.`,
      work: {
        formula: say`plain sleeve + ring of adhesive = sealed`,
        substituted: [],
        source: say`craft practice, the alternative school`,
        assumes: say`house practice: seal by adhesive ring`,
      },
    },
    isWet ? 'watch' : 'holds',
  );
}

const TELLS = { positive: 'red', negative: 'black' } as const;

/** Whether jacket, band and label say one and the same pole. */
function polarity(end: ResolvedEnd, { cable, conductor }: EndSubject): Finding {
  const { polarity: pole, jacket } = cable;
  const facts = {
    ...about(end, 'polarity', say`Polarity told`),
    value: null,
    unit: '',
    decimals: 0,
    work: {
      formula: say`jacket, band and label name one pole`,
      substituted: [
        say`${word(pole)}; ${word(jacket)} jacket${end.layers.includes('band') ? say`, ${word(end.bandColour)} band` : ''}${end.layers.includes('label') ? say`, label` : ''}`,
        say`over its layers ${digits(overLayersMm(conductor.outerMm, end.layers), 1)} mm`,
      ],
      source: say`craft practice: whatever the colour school, the record names the pole`,
      assumes: say`${LAYERS.label.title} carries the tag and the pole`,
    },
  } as const;
  const said = (state: State, because: string, remedy?: string) =>
    stated({ ...facts, because, ...(remedy && { remedy }) }, state);
  if (pole === 'link') return said('holds', say`A link between batteries: it is told by its tag.`);
  const sleeve = end.sleeve?.sleeve.colour;
  const marks = [
    jacket,
    ...(sleeve === TELLS.positive ? [sleeve] : []),
    ...(end.layers.includes('band') ? [end.bandColour] : []),
  ];
  const outermost = marks.at(-1) ?? jacket;
  if (outermost === TELLS[pole]) return said('holds', say`${word(outermost)} says ${word(pole)}.`);
  // Black on a positive only says nothing: dual wall is mostly black. Red on a negative says the wrong thing.
  if (outermost === TELLS.positive) {
    return said('fails', say`red on a negative cable says the other pole.`, say`Put a black band over it.`);
  }
  return end.layers.includes('label')
    ? said(
        'watch',
        say`Only the label says ${word(pole)}: print the pole on it.`,
        say`A ${TELLS[pole]} band makes it plain.`,
      )
    : said('fails', say`Nothing on this end says ${word(pole)}.`, say`Give it a label or a band.`);
}
