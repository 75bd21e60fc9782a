import { word } from '../words/terms.ts';
import { LAYERS, type Layer } from '../catalogue/tables/layers.ts';
import { SLEEVES } from '../catalogue/tables/sleeves.ts';
import { COPPER } from '../conductor/copper.ts';
import { cableMassPerMetre } from '../conductor/geometry.ts';
import { END_NAMES } from '../job/end.ts';
import type { Lug, Shop, Sleeve } from '../job/shop.ts';
import { circleMm2, wallMm2 } from '../termination/lugOnCable.ts';
import { usesSolder } from '../termination/method.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import { cutGroups, isCut, type ToCut } from './pieces.ts';
import { say } from '../words/say.ts';

/** One line of a kit: what is needed, what is on the shelf, what to buy. */
export interface KitLine {
  readonly key: string;
  readonly what: string;
  readonly note: string;
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

interface Counted {
  lugs: Map<string, number>;
  sleeves: Map<string, number>;
  layers: Map<Layer, number>;
  solderG: number;
  labels: number;
}

/** Counts everything that cables still to be made take. */
function count(cables: readonly ToCut[], shop: Shop): Counted {
  const counted: Counted = { lugs: new Map(), sleeves: new Map(), layers: new Map(), solderG: 0, labels: 0 };
  const add = <K>(map: Map<K, number>, key: K, n: number) => map.set(key, (map.get(key) ?? 0) + n);
  for (const { cable, work } of cables) {
    const times = work.choice.taken.at.parallel;
    for (const name of END_NAMES) {
      const end = work.ends[name];
      if (cable.done.some(({ step }) => step === `home.${name}`)) continue;
      if (end.lug) add(counted.lugs, end.lug.id, times);
      if (end.sleeve) add(counted.sleeves, end.sleeve.sleeve.id, end.sleeve.cutMm * times);
      if (end.band && end.sleeve) add(counted.sleeves, end.band.id, LABEL_MM * times);
      if (end.lug && usesSolder(end.method)) {
        counted.solderG += solderNeed(end, end.lug, shop.practice).massG * times;
      }
      if (end.layers.includes('boot')) add(counted.layers, 'boot', times);
    }
    if (isCut(cable)) continue;
    const along = work.lengths?.cutMm ?? 0;
    for (const layer of ['braid', 'glass'] as const) {
      if (END_NAMES.some((name) => work.ends[name].layers.includes(layer)))
        add(counted.layers, layer, along * times);
    }
    counted.labels += 2 * times;
    for (const { connector, sleeve } of work.joins) {
      if (connector) add(counted.lugs, connector.id, times);
      if (sleeve && connector) add(counted.sleeves, sleeve.id, Math.ceil(4 * connector.barrelMm) * times);
    }
  }
  return counted;
}

const line = (facts: Omit<KitLine, 'buy' | 'buyPrice'>): KitLine => {
  const buy = facts.have === null ? 0 : Math.max(0, facts.need - facts.have);
  return {
    ...facts,
    buy,
    buyPrice: facts.price === null || facts.need === 0 ? null : (facts.price / facts.need) * buy,
  };
};

/** Everything that is still to be cut, put on and shrunk, against what is on the shelf. */
export function kitOf(cables: readonly ToCut[], shop: Shop): Kit {
  const counted = count(cables, shop);
  const { practice } = shop;
  const ofCable = cutGroups(cables, shop)
    .filter(({ pieces }) => pieces.length > 0)
    .map((group) => {
      const need = group.pieces.reduce((sum, { lengthMm }) => sum + lengthMm + practice.cutting.kerfMm, 0);
      return line({
        key: `cable:${group.key}`,
        what: say`Cable ${group.title}`,
        note: group.kindTitle.toLowerCase(),
        group: 'cable',
        unit: 'mm',
        need,
        have: group.spools.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
        price: (need / 1000) * group.pricePerM,
        massG: (need / 1000) * cableMassPerMetre(group.copperMm2, group.outerMm) * 1000,
      });
    });
  const ofLugs = [...counted.lugs].flatMap(([id, n]) => {
    const lug = shop.lugs.find((own) => own.id === id);
    if (!lug) return [];
    const spare = lug.form === 'tube' ? practice.practiceLugs : 0;
    return line({
      key: `lug:${id}`,
      what: lug.form === 'butt' ? say`Connector ${lug.label}` : say`Lug ${lug.label}`,
      note: spare > 0 ? say`${spare} of them to practise` : '',
      group: 'lugs',
      unit: '',
      need: n + spare,
      have: lug.stock,
      price: lug.price > 0 ? (n + spare) * lug.price : null,
      massG: n * lugMassG(lug),
    });
  });
  const ofSleeves = [...counted.sleeves].flatMap(([id, mm]) => {
    const sleeve = shop.sleeves.find((own) => own.id === id);
    return sleeve ? [sleeveLine(sleeve, mm)] : [];
  });
  const ofLayers = [...counted.layers].map(([layer, n]) =>
    line({
      key: `layer:${layer}`,
      what: LAYERS[layer].title.replace(/^./, (letter) => letter.toUpperCase()),
      note: LAYERS[layer].why,
      group: 'layers',
      unit: layer === 'boot' ? '' : 'mm',
      need: n,
      have: null,
      price: null,
      massG: 0,
    }),
  );
  const ofSolder =
    counted.solderG > 0
      ? [
          line({
            key: 'solder',
            what: say`Solder wire ${practice.solder.wireMm} mm, rosin flux`,
            note: say`as the bores leave room`,
            group: 'solder',
            unit: 'g',
            need: counted.solderG,
            have: null,
            price: null,
            massG: counted.solderG,
          }),
        ]
      : [];
  const ofLabels =
    counted.labels > 0
      ? [
          line({
            key: 'labels',
            what: say`Printed label`,
            note: say`one at each end`,
            group: 'labels',
            unit: '',
            need: counted.labels,
            have: null,
            price: null,
            massG: 0,
          }),
        ]
      : [];
  const lines = [...ofCable, ...ofLugs, ...ofSleeves, ...ofLayers, ...ofSolder, ...ofLabels];
  const sum = (of: (own: KitLine) => number | null) =>
    lines.reduce((total, own) => total + (of(own) ?? 0), 0);
  return {
    lines,
    massG: sum(({ massG }) => massG),
    price: sum(({ price }) => price),
    buyPrice: sum(({ buyPrice }) => buyPrice),
  };
}

function sleeveLine(sleeve: Sleeve, mm: number): KitLine {
  const { ratio, title } = SLEEVES[sleeve.kind];
  return line({
    key: `sleeve:${sleeve.id}`,
    what: say`Sleeve ${sleeve.suppliedMm} / ${sleeve.recoveredMm}${sleeve.colour === 'black' ? '' : ` ${word(sleeve.colour)}`}`,
    note: `${ratio}, ${title}`,
    group: 'sleeves',
    unit: 'mm',
    need: mm,
    have: sleeve.stockMm,
    price: sleeve.pricePerM === undefined ? null : (mm / 1000) * sleeve.pricePerM,
    massG: 0,
  });
}
