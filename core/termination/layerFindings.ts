import { LAYERS } from '../catalogue/tables/layers.ts';
import { SLEEVES } from '../catalogue/tables/sleeves.ts';
import { type Finding, stated, type State } from '../finding.ts';
import { digits } from '../units/figure.ts';
import { about } from './about.ts';
import type { EndSubject } from './endSubject.ts';
import { overLayersMm } from './layers.ts';
import type { ResolvedEnd } from './resolveEnd.ts';

/** What slides on, in what order, and whether anybody could mistake the pole. */
export function layerFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  return [
    nestingOrder(end, subject),
    ...(end.layers.includes('band') ? [band(end)] : []),
    ...(end.sleeve && !SLEEVES[end.sleeve.sleeve.kind].adhesive ? [ring(end)] : []),
    polarity(end, subject),
  ];
}

function nestingOrder(end: ResolvedEnd, { cable }: EndSubject): Finding {
  const crimped = cable.done.some(({ step }) => /^(crimp-1|solder)\./.test(step) && step.endsWith(end.name));
  const blocked = end.nesting.filter(({ afterLug }) => !afterLug);
  const said = cable.done.some(({ step }) => step === 'layers');
  const forgotten = crimped && !said && blocked.length > 0 && !end.spec.sleeveAfterLug;
  return stated(
    {
      ...about(end, 'layers', 'Before the lug'),
      value: blocked.length,
      unit: '',
      decimals: 0,
      because: forgotten
        ? `The lug is on and the layers were never confirmed: ${blocked.map(({ title }) => title).join(', ')} cannot pass it now.`
        : blocked.length > 0
          ? `${blocked.map(({ title }) => title).join(', ')}: on before the lug, or never.`
          : 'All of it could still pass the palm.',
      ...(forgotten && { remedy: 'Look at the cable; if one is missing, cut back and end it again.' }),
      work: {
        formula: 'passes the lug when it opens to 1.1 × 2·(w + t) ÷ π',
        substituted: end.nesting.map(
          ({ title, mustPassMm, afterLug }, i) =>
            `${i + 1}: ${title}, over ${digits(mustPassMm, 1)} mm${afterLug ? ', could still pass the lug' : ''}`,
        ),
        source: 'craft practice: closest to the jacket first, the heat shrink last',
        assumes: 'walls and openings typical of each layer',
      },
    },
    forgotten ? 'watch' : 'holds',
  );
}

function band(end: ResolvedEnd): Finding {
  return stated(
    {
      ...about(end, 'band', 'Coloured band'),
      value: null,
      unit: '',
      decimals: 0,
      because: end.band
        ? `${end.bandColour} ${end.band.suppliedMm}/${end.band.recoveredMm} over the sleeve.`
        : `No thin ${end.bandColour} sleeve owned passes and grips the shrunk one.`,
      ...(!end.band && { remedy: `Buy thin 2:1 sleeve in ${end.bandColour}.` }),
      work: {
        formula: 'supplied ≥ 1.1 × and recovered ≤ 0.9 × the shrunk sleeve',
        substituted: [],
        source: 'customary thin-wall sizes',
        assumes: 'dual wall mostly comes in black',
      },
    },
    end.band ? 'holds' : 'fails',
  );
}

function ring(end: ResolvedEnd): Finding {
  return stated(
    {
      ...about(end, 'ring', 'Ring of adhesive'),
      value: null,
      unit: '',
      decimals: 0,
      because: 'A plain sleeve marks; a ring of flexible adhesive between jacket and lug seals under it.',
      remedy: 'Lay the ring just before shrinking, and see it come out at both ends.',
      work: {
        formula: 'plain sleeve + ring of adhesive = sealed',
        substituted: [],
        source: 'craft practice, the alternative school',
        assumes: 'house practice: seal by adhesive ring',
      },
    },
    'holds',
  );
}

const TELLS = { positive: 'red', negative: 'black' } as const;

/** Whether jacket, band and label say one and the same pole. */
function polarity(end: ResolvedEnd, { cable, conductor }: EndSubject): Finding {
  const { polarity: pole, jacket } = cable;
  const facts = {
    ...about(end, 'polarity', 'Polarity told'),
    value: null,
    unit: '',
    decimals: 0,
    work: {
      formula: 'jacket, band and label name one pole',
      substituted: [
        `${pole}; ${jacket} jacket${end.layers.includes('band') ? `, ${end.bandColour} band` : ''}${end.layers.includes('label') ? ', label' : ''}`,
        `over its layers ${digits(overLayersMm(conductor.outerMm, end.layers), 1)} mm`,
      ],
      source: 'craft practice: whatever the colour school, the record names the pole',
      assumes: `${LAYERS.label.title} carries the tag and the pole`,
    },
  } as const;
  const said = (state: State, because: string, remedy?: string) =>
    stated({ ...facts, because, ...(remedy && { remedy }) }, state);
  if (pole === 'link') return said('holds', 'A link between batteries: it is told by its tag.');
  const marks = [jacket, ...(end.layers.includes('band') ? [end.bandColour] : [])];
  const outermost = marks.at(-1) ?? jacket;
  if (outermost === TELLS[pole]) return said('holds', `${outermost} says ${pole}.`);
  // Black on a positive only says nothing: dual wall is mostly black. Red on a negative says the wrong thing.
  if (outermost === TELLS.positive) {
    return said('fails', 'red on a negative cable says the other pole.', 'Put a black band over it.');
  }
  return end.layers.includes('label')
    ? said(
        'watch',
        `Only the label says ${pole}: print the pole on it.`,
        `A ${TELLS[pole]} band makes it plain.`,
      )
    : said('fails', `Nothing on this end says ${pole}.`, 'Give it a label or a band.');
}
