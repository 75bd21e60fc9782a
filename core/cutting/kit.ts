import { addTo } from '../lib/lists.ts';
import { type Message, amount, msg, verbatim } from '../words/message.ts';
import { LAYERS, type Layer } from '../model/tables/layers.ts';
import { SLEEVES } from '../model/tables/sleeves.ts';
import { madeFrom } from '../termination/lugs/tubeLug.ts';
import { areaMm2 } from '../model/tables/size.ts';
import { lugMassG } from '../termination/lugs/lugMass.ts';
import { cableMassPerMetre } from '../conductor/geometry.ts';
import type { Work } from '../finding/finding.ts';
import type { Lug, Shop, Sleeve } from '../model/shop.ts';
import { type CutGroup, cutGroups, type ToCut } from './pieces.ts';
import { haveOf, leastOf } from './shelf.ts';
import { keyOf, stockTitle, type StockUnit, stockUnit, unitPriceOf } from './stockTitle.ts';
import { type Use, usesOf } from './uses.ts';
import { digits } from '../words/numerals.ts';
import { figure } from '../model/units/figure.ts';

/** One line of a kit: what is needed, what is on the shelf, what to buy. */
export interface KitLine {
  readonly key: string;
  readonly what: Message;
  readonly note: Message;
  readonly group: 'cable' | 'lugs' | 'sleeves' | 'layers' | 'solder' | 'hardware' | 'labels';
  /** Pieces, or mm, or g. */
  readonly unit: StockUnit;
  readonly need: number;
  /** Null where the shop keeps no count of it. */
  readonly have: number | null;
  /** So much is to stay on the shelf. */
  readonly least: number;
  readonly buy: number;
  /** Of a piece, a mm or a g; null where no price is known. */
  readonly unitPrice: number | null;
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

/** What is taken of each thing, by its key. */
type Uses = ReadonlyMap<string, readonly Use[]>;

/** Everything that cables still to be made take: "lug:…", "sleeve:…", "layer:…", "solder", "label". */
function openUses(cables: readonly ToCut[], shop: Shop): Uses {
  const open = cables.flatMap((own) => usesOf(own, shop.practice).filter(({ isSpent }) => !isSpent));
  const uses = new Map<string, Use[]>();
  for (const use of open) addTo(uses, use.stock, use);
  return uses;
}

const total = (uses: readonly Amount[]) => uses.reduce((sum, { amount }) => sum + amount, 0);
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

type Amount = Pick<Use, 'who' | 'amount'>;

function workOf(
  uses: readonly Amount[],
  unit: KitLine['unit'],
  formula: Message,
  extra: readonly Amount[],
): Work {
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

type LineFacts = Omit<KitLine, 'buy' | 'price' | 'buyPrice' | 'least'> & { readonly least?: number };

/** A line: what is needed and what is to stay, less what there is, is bought; of what nobody counts nothing is. */
function line({ least = 0, ...facts }: LineFacts): KitLine {
  const { need, have, unit, work } = facts;
  const buy = have === null ? 0 : Math.max(0, need + least - have);
  const bought = msg`${inUnit(need, unit)} + ${inUnit(least, unit)} to keep − ${inUnit(have ?? 0, unit)} on the shelf = ${inUnit(buy, unit)} to buy`;
  const kept = msg`${inUnit(least, unit)} to keep`;
  return {
    ...facts,
    note: least === 0 ? facts.note : facts.note === '' ? kept : verbatim`${facts.note}, ${kept}`,
    least,
    buy,
    price: priceOf(facts, need),
    buyPrice: priceOf(facts, buy),
    work: least > 0 && have !== null ? { ...work, substituted: [...work.substituted, bought] } : work,
  };
}

/** What so much of a line costs; null where no price is known. */
export const priceOf = ({ unitPrice }: Pick<KitLine, 'unitPrice'>, quantity: number): number | null =>
  unitPrice === null ? null : unitPrice * quantity;

/** How much of what is there is needed, as a share: above 1 there is too little. */
export const shareNeeded = ({ need, have }: Pick<KitLine, 'need' | 'have'>): number =>
  have === null ? 1 : have > 0 ? need / have : Number.POSITIVE_INFINITY;

const PER_END = msg`one for each end still to be made`;
const AS_CUT = msg`Σ as it is cut for each end still to be made`;

/** A line for what is counted by its key; null for what the shop does not know any more. */
function lineOf(stock: string, takers: readonly Use[], shop: Shop): KitLine | null {
  const what = stockTitle(stock, shop);
  const facts = what === null ? null : ownFacts(stock, takers, shop);
  if (what === null || facts === null) return null;
  return line({
    key: stock,
    what,
    unit: stockUnit(stock),
    need: total(takers),
    have: haveOf(shop, stock),
    least: leastOf(shop, stock),
    unitPrice: unitPriceOf(stock, shop),
    massG: 0,
    ...facts,
  });
}

type OwnFacts = Pick<LineFacts, 'note' | 'group' | 'work'> &
  Partial<Pick<LineFacts, 'need' | 'massG' | 'have'>>;

/** What is counted of its kind alone: a note, where it is listed, and how its need comes about. */
interface CountedFacts {
  readonly note: Message;
  readonly group: KitLine['group'];
  readonly formula: Message;
}
const COUNTED: Readonly<Record<string, CountedFacts>> = {
  solder: {
    note: msg`as the bores leave room`,
    group: 'solder',
    formula: msg`Σ room that bore and strands leave × density of solder`,
  },
  slug: { note: msg`one melted in each lug`, group: 'solder', formula: PER_END },
  flux: {
    note: msg`for what is fed with wire`,
    group: 'solder',
    formula: msg`Σ 2 · film · π · bore · barrel · density`,
  },
  sealant: {
    note: msg`a ring under each plain sleeve`,
    group: 'sleeves',
    formula: msg`Σ π · (D + t) · t · w · density`,
  },
  adapter: { note: msg`between post and lug`, group: 'hardware', formula: PER_END },
  hardware: { note: msg`one nut, plain and spring washer`, group: 'hardware', formula: PER_END },
  moulded: {
    note: msg`with adhesive inside`,
    group: 'sleeves',
    formula: msg`one for each branch or end that is sealed so`,
  },
  guard: { note: msg`where it rubs`, group: 'layers', formula: msg`one for each place where it rubs` },
  label: { note: msg`one at each end`, group: 'labels', formula: msg`two to a cable` },
};

/** What sets the line of one kind of thing apart from another's. */
function ownFacts(stock: string, takers: readonly Use[], shop: Shop): OwnFacts | null {
  const { kind, id } = keyOf(stock);
  if (kind === 'lug') {
    const lug = shop.lugs.find((owned) => owned.id === id);
    return lug ? lugFacts(lug, takers, shop) : null;
  }
  if (kind === 'sleeve') {
    const sleeve = shop.sleeves.find((owned) => owned.id === id);
    return sleeve ? sleeveFacts(sleeve, takers) : null;
  }
  if (kind === 'layer') return layerFacts(id as Layer, takers);
  const facts = COUNTED[kind];
  if (!facts) return null;
  const { note, group, formula } = facts;
  const unit = stockUnit(stock);
  // What is counted in grams is its own weight.
  return {
    note,
    group,
    ...(unit === 'g' && { massG: total(takers) }),
    work: workOf(takers, unit, formula, []),
  };
}

const ORDER = [
  'lug',
  'sleeve',
  'sealant',
  'moulded',
  'layer',
  'solder',
  'slug',
  'flux',
  'guard',
  'adapter',
  'hardware',
  'label',
];
const rankOf = (stock: string) => ORDER.indexOf(keyOf(stock).kind);

/** What is to be kept on the shelf and runs out, whether or not anything here takes it. */
const runningOut = (shop: Shop): string[] =>
  (shop.shelf ?? []).flatMap(({ stock, least = 0 }) =>
    (haveOf(shop, stock) ?? least) < least ? [stock] : [],
  );

/** Everything that is still to be cut, put on and shrunk, against what is on the shelf; and what runs out there. */
export function kitOf(cables: readonly ToCut[], shop: Shop): Kit {
  const uses = openUses(cables, shop);
  const stocks = [...new Set([...uses.keys(), ...runningOut(shop)])].sort((a, b) => rankOf(a) - rankOf(b));
  const groups = cutGroups(cables, shop).filter(({ pieces }) => pieces.length > 0);
  const lines = [
    ...groups.map((group) => cableLine(group, shop.practice.cutting.kerfMm)),
    ...stocks.flatMap((stock) => lineOf(stock, uses.get(stock) ?? [], shop) ?? []),
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
    unitPrice: group.pricePerM / 1000,
    massG: (need / 1000) * cableMassPerMetre(group.copperMm2, group) * 1000,
    work: workOf(
      group.pieces.map(({ label, lengthMm }) => ({ who: label, amount: lengthMm + kerfMm })),
      'mm',
      msg`Σ (cut length + ${amount(kerfMm, 'mm', 1)} of kerf)`,
      [],
    ),
  });
}

/** Some of each tube lug are kept back to practise on, where it is used at all. */
function lugFacts(lug: Lug, takers: readonly Use[], { practice }: Shop): OwnFacts {
  const spare = lug.form === 'tube' && takers.length > 0 ? practice.practiceLugs : 0;
  const count = total(takers);
  const made = madeFrom(lug, areaMm2(lug.forSize));
  const practise = spare > 0 ? msg`${spare} of them for practice` : '';
  return {
    note: made
      ? msg`made here: ${amount(made.cutMm, 'mm', 0)} of tube ${lug.outerMm} × ${lug.madeHere?.wallMm ?? 0} each${practise && verbatim`, ${practise}`}`
      : practise,
    ...(made && { have: null }),
    group: 'lugs',
    need: count + spare,
    massG: count * lugMassG(lug),
    work: workOf(takers, '', PER_END, spare > 0 ? [{ who: msg`to practise`, amount: spare }] : []),
  };
}

function layerFacts(layer: Layer, takers: readonly Use[]): OwnFacts {
  const unit = stockUnit(`layer:${layer}`);
  return {
    note: LAYERS[layer].why,
    group: 'layers',
    work: workOf(takers, unit, unit === '' ? PER_END : msg`Σ cut length of each cable that wears it`, []),
  };
}

function sleeveFacts({ kind }: Sleeve, takers: readonly Use[]): OwnFacts {
  const { ratio, title } = SLEEVES[kind];
  return {
    note: verbatim`${ratio}, ${title}`,
    group: 'sleeves',
    work: workOf(takers, 'mm', AS_CUT, []),
  };
}
