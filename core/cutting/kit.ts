import { term } from '../words/terms.ts';
import { type Message, amount, capitalised, msg, verbatim, briefly } from '../words/message.ts';
import { LAYERS, type Layer } from '../model/tables/layers.ts';
import { SLEEVES } from '../model/tables/sleeves.ts';
import { COPPER } from '../conductor/copper.ts';
import { cableMassPerMetre } from '../conductor/geometry.ts';
import type { Work } from '../finding/finding.ts';
import { END_NAMES } from '../model/end.ts';
import type { Lug, Shop, Sleeve } from '../model/shop.ts';
import { circleMm2, wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { usesSolder } from '../model/method.ts';
import { solderNeed } from '../termination/solderNeed.ts';

import { type CutGroup, cutGroups, isCut, type ToCut } from './pieces.ts';
import { digits } from '../words/numerals.ts';
import { figure } from '../model/units/figure.ts';

/** One line of a kit: what is needed, what is on the shelf, what to buy. */
export interface KitLine {
  readonly key: string;
  readonly what: Message;
  readonly note: Message;
  readonly group: 'cable' | 'lugs' | 'sleeves' | 'layers' | 'solder' | 'labels';
  /** Pieces, or mm, or g. */
  readonly unit: '' | 'mm' | 'g';
  readonly need: number;
  /** Null where the shop keeps no count of it. */
  readonly have: number | null;
  readonly buy: number;
  /** For all that is needed; null where no price is known. */
  readonly price: number | null;
  readonly buyPrice: number | null;
  readonly massG: number;
  /** Who takes how much of it, and what it comes to. */
  readonly work: Work;
}

export interface Kit {
  readonly lines: readonly KitLine[];
  readonly massG: number;
  /** Materials at known prices, for all that is needed. */
  readonly price: number;
  readonly buyPrice: number;
}

/** Copper of a lug, g: its barrel, and its palm less the hole. */
export function lugMassG(lug: Lug): number {
  const barrel = wallMm2(lug) * lug.barrelMm;
  const palm =
    lug.palmThicknessMm *
    (lug.palmWidthMm * (lug.studToBarrelMm + lug.palmWidthMm / 2) - circleMm2(lug.holeMm));
  return ((barrel + Math.max(0, palm)) * COPPER.density) / 1e6;
}

/** Two labels to a cable, one at each end. */
const LABEL_MM = 40;

/** So much that one end or cable takes of a thing. */
interface Use {
  readonly who: Message;
  readonly amount: number;
}
/** What is taken of each thing, by its key. */
type Uses = ReadonlyMap<string, readonly Use[]>;

/** Everything that cables still to be made take: "lug:…", "sleeve:…", "layer:…", "solder", "labels". */
function usesOf(cables: readonly ToCut[], shop: Shop): Uses {
  const uses = new Map<string, Use[]>();
  for (const { cable, work } of cables) {
    const times = work.choice.taken.at.parallel;
    const take = (key: string, who: Message, amount: number): void => {
      const own = uses.get(key) ?? [];
      own.push({ who, amount: amount * times });
      uses.set(key, own);
    };
    for (const name of END_NAMES) {
      const end = work.ends[name];
      const who = `${cable.tag} ${name}`;
      if (cable.done.some(({ step }) => step === `home.${name}`)) continue;
      if (end.lug) take(`lug:${end.lug.id}`, who, 1);
      if (end.sleeve) take(`sleeve:${end.sleeve.sleeve.id}`, who, end.sleeve.cutMm);
      if (end.band && end.sleeve) take(`sleeve:${end.band.id}`, msg`${who}, its colour`, LABEL_MM);
      if (end.lug && usesSolder(end.method))
        take('solder', who, solderNeed(end, end.lug, shop.practice).massG);
      if (end.layers.includes('boot')) take('layer:boot', who, 1);
    }
    if (isCut(cable)) continue;
    const along = work.lengths?.cutMm ?? 0;
    for (const layer of ['braid', 'glass'] as const) {
      if (END_NAMES.some((name) => work.ends[name].layers.includes(layer)))
        take(`layer:${layer}`, cable.tag, along);
    }
    take('labels', cable.tag, 2);
    work.joins.forEach(({ connector, sleeve }, i) => {
      const who = msg`${cable.tag}, join ${i + 1}`;
      if (connector) take(`lug:${connector.id}`, who, 1);
      if (sleeve && connector) take(`sleeve:${sleeve.id}`, who, Math.ceil(4 * connector.barrelMm));
    });
  }
  return uses;
}

const total = (uses: readonly Use[]) => uses.reduce((sum, { amount }) => sum + amount, 0);
/** How much of a kit's line there is, as a list says it. @example kitQuantity(6200, 'mm') // "6.20 m" */
export const kitQuantity = (value: number, unit: KitLine['unit'], gramDecimals = 0): string =>
  unit === 'mm'
    ? figure(value / 1000, 'm', 2)
    : unit === 'g'
      ? figure(value, 'g', gramDecimals)
      : digits(value, 0);

const inUnit = (quantity: number, unit: KitLine['unit']) => amount(quantity, unit, unit === 'g' ? 1 : 0);

/** More than this many who take of a thing are summed up in one line. */
const MOST_SHOWN = 24;

function workOf(uses: readonly Use[], unit: KitLine['unit'], formula: Message, extra: readonly Use[]): Work {
  const all = [...uses, ...extra];
  const shown = all.length > MOST_SHOWN ? all.slice(0, MOST_SHOWN - 1) : all;
  const rest = all.slice(shown.length);
  return {
    formula,
    substituted: [
      ...shown.map(({ who, amount }) => verbatim`${who}: ${inUnit(amount, unit)}`),
      ...(rest.length > 0 ? [msg`${rest.length} more: ${inUnit(total(rest), unit)}`] : []),
      verbatim`= ${inUnit(total(all), unit)}`,
    ],
    source: msg`what each end is decided to be, counted over what is still to be made`,
    assumes: msg`nothing is spoilt`,
  };
}

const line = (facts: Omit<KitLine, 'buy' | 'buyPrice'>): KitLine => {
  const buy = facts.have === null ? 0 : Math.max(0, facts.need - facts.have);
  return {
    ...facts,
    buy,
    buyPrice: priceOf(facts, buy),
  };
};

/** What it costs to buy so much of a line; null where no price is known. */
export const priceOf = ({ price, need }: Pick<KitLine, 'price' | 'need'>, buy: number): number | null =>
  price === null || need === 0 ? null : (price / need) * buy;

/** How much of what is there is needed, as a share: above 1 there is too little. */
export const shareNeeded = ({ need, have }: Pick<KitLine, 'need' | 'have'>): number =>
  have === null ? 1 : have > 0 ? need / have : Number.POSITIVE_INFINITY;

const PER_END = msg`one for each end still to be made`;
const AS_CUT = msg`Σ as it is cut for each end still to be made`;

/** Everything that is still to be cut, put on and shrunk, against what is on the shelf. */
export function kitOf(cables: readonly ToCut[], shop: Shop): Kit {
  const uses = usesOf(cables, shop);
  /** What is taken of each thing of a group: "lug:…" without its group. */
  const taken = (prefix: string) =>
    [...uses].flatMap(([key, takers]): [string, readonly Use[]][] =>
      key.startsWith(prefix) ? [[key.slice(prefix.length), takers]] : [],
    );
  const groups = cutGroups(cables, shop).filter(({ pieces }) => pieces.length > 0);
  const lines = [
    ...groups.map((group) => cableLine(group, shop.practice.cutting.kerfMm)),
    ...taken('lug:').flatMap(([id, takers]) => {
      const lug = shop.lugs.find((owned) => owned.id === id);
      return lug ? [lugLine(lug, takers, shop.practice.practiceLugs)] : [];
    }),
    ...taken('sleeve:').flatMap(([id, takers]) => {
      const sleeve = shop.sleeves.find((owned) => owned.id === id);
      return sleeve ? [sleeveLine(sleeve, takers)] : [];
    }),
    ...taken('layer:').map(([id, takers]) => layerLine(id as Layer, takers)),
    ...taken('solder').map(([, takers]) => solderLine(shop.practice.solder.wireMm, takers)),
    ...taken('labels').map(([, takers]) => labelLine(takers)),
  ];
  const sum = (each: (kitLine: KitLine) => number | null) =>
    lines.reduce((all, kitLine) => all + (each(kitLine) ?? 0), 0);
  return {
    lines,
    massG: sum(({ massG }) => massG),
    price: sum(({ price }) => price),
    buyPrice: sum(({ buyPrice }) => buyPrice),
  };
}

function cableLine(group: CutGroup, kerfMm: number): KitLine {
  const need = group.pieces.reduce((sum, { lengthMm }) => sum + lengthMm + kerfMm, 0);
  return line({
    key: `cable:${group.key}`,
    what: msg`Cable ${group.title}`,
    note: group.kindTitle.toLowerCase(),
    group: 'cable',
    unit: 'mm',
    need,
    have: group.spools.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    price: (need / 1000) * group.pricePerM,
    massG: (need / 1000) * cableMassPerMetre(group.copperMm2, group.outerMm) * 1000,
    work: workOf(
      group.pieces.map(({ label, lengthMm }) => ({ who: label, amount: lengthMm + kerfMm })),
      'mm',
      msg`Σ (cut length + ${amount(kerfMm, 'mm', 1)} of kerf)`,
      [],
    ),
  });
}

/** @param practiceLugs how many of each tube lug are kept back to practise on */
function lugLine(lug: Lug, takers: readonly Use[], practiceLugs: number): KitLine {
  const spare = lug.form === 'tube' ? practiceLugs : 0;
  const count = total(takers);
  return line({
    key: `lug:${lug.id}`,
    what: lug.form === 'butt' ? msg`Connector ${lug.label}` : msg`Lug ${lug.label}`,
    note: spare > 0 ? msg`${spare} of them to practise` : '',
    group: 'lugs',
    unit: '',
    need: count + spare,
    have: lug.stock,
    price: lug.price > 0 ? (count + spare) * lug.price : null,
    massG: count * lugMassG(lug),
    work: workOf(takers, '', PER_END, spare > 0 ? [{ who: msg`to practise`, amount: spare }] : []),
  });
}

/** The shop counts none of it, and knows neither its price nor its weight. */
const NOT_ON_SHELF = { have: null, price: null, massG: 0 } as const;

function layerLine(layer: Layer, takers: readonly Use[]): KitLine {
  const unit = layer === 'boot' ? '' : 'mm';
  return line({
    ...NOT_ON_SHELF,
    key: `layer:${layer}`,
    what: capitalised(LAYERS[layer].title),
    note: LAYERS[layer].why,
    group: 'layers',
    unit,
    need: total(takers),
    work: workOf(takers, unit, unit === '' ? PER_END : msg`Σ cut length of each cable that wears it`, []),
  });
}

const solderLine = (wireMm: number, takers: readonly Use[]): KitLine =>
  line({
    ...NOT_ON_SHELF,
    key: 'solder',
    what: msg`Solder wire ${briefly(wireMm, 'mm', 2)}, rosin flux`,
    note: msg`as the bores leave room`,
    group: 'solder',
    unit: 'g',
    need: total(takers),
    massG: total(takers),
    work: workOf(takers, 'g', msg`Σ room that bore and strands leave × density of solder`, []),
  });

const labelLine = (takers: readonly Use[]): KitLine =>
  line({
    ...NOT_ON_SHELF,
    key: 'labels',
    what: msg`Printed label`,
    note: msg`one at each end`,
    group: 'labels',
    unit: '',
    need: total(takers),
    work: workOf(takers, '', msg`two to a cable`, []),
  });

function sleeveLine(sleeve: Sleeve, uses: readonly Use[]): KitLine {
  const mm = total(uses);
  const { ratio, title } = SLEEVES[sleeve.kind];
  return line({
    key: `sleeve:${sleeve.id}`,
    what: msg`Sleeve ${sleeve.suppliedMm} / ${sleeve.recoveredMm}${sleeve.colour === 'black' ? '' : verbatim` ${term(sleeve.colour)}`}`,
    note: verbatim`${ratio}, ${title}`,
    group: 'sleeves',
    unit: 'mm',
    need: mm,
    have: sleeve.stockMm,
    price: sleeve.pricePerM === undefined ? null : (mm / 1000) * sleeve.pricePerM,
    massG: 0,
    work: workOf(uses, 'mm', AS_CUT, []),
  });
}
