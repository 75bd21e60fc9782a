import { LAYERS, type Layer } from '../../model/tables/layers.ts';
import { SLEEVES, type SleeveSize } from '../../model/tables/sleeves.ts';
import type { Cable } from '../../model/cable.ts';
import type { End } from '../../model/end.ts';
import type { Lug, Sleeve } from '../../model/shop.ts';
import type { HousePractice } from '../../model/housePractice.ts';
import { SLEEVE_ROOM, wallOnMm } from './sleeve.ts';
import { type Message, msg } from '../../words/message.ts';

/** One thing that slides onto the cable, in the order in which it goes on. */
export interface LayerOn {
  readonly layer: Layer | 'sleeve';
  readonly title: Message;
  /** Largest outside it must pass on its way to its place, mm. */
  readonly mustPassMm: number;
  /** Whether it could still be slid on once the lug is on. */
  readonly afterLug: boolean;
  readonly why: Message;
}

const IN_ORDER = Object.keys(LAYERS) as Layer[];

/** Layers of an end: those said, else the label, and a coloured band where sleeves tell polarity. */
export function layersOf(
  end: End,
  cable: Pick<Cable, 'polarity' | 'jacket'>,
  practice: HousePractice,
): Layer[] {
  const band = practice.colours === 'sleeves' && cable.polarity !== 'link';
  const said: readonly Layer[] = end.layers ?? (band ? ['label', 'band'] : ['label']);
  return IN_ORDER.filter((layer) => said.includes(layer));
}

/** Outside of the cable where layers are caught under the heat shrink, mm. */
export function overLayersMm(jacketMm: number, layers: readonly Layer[]): number {
  return layers.reduce((mm, layer) => (LAYERS[layer].caught ? mm + 2 * LAYERS[layer].wallMm : mm), jacketMm);
}

/** Sleeves that do not say the pole that a cable is not: red never on a negative. Black alone says nothing. */
export const sleevesFor = (sleeves: readonly Sleeve[], polarity: Cable['polarity']) =>
  sleeves.filter(({ colour }) => !(polarity === 'negative' && colour === 'red'));

/** A palm as round as it can be folded through: `2·(w + t)/π`. */
export const foldedPalmMm = ({
  palmWidthMm,
  palmThicknessMm,
}: Pick<Lug, 'palmWidthMm' | 'palmThicknessMm'>) => (2 * (palmWidthMm + palmThicknessMm)) / Math.PI;

/**
 * What slides on before what. Closest to the jacket goes on first and lies farthest from the end; the heat shrink goes
 * on last and is shrunk first, the band slides over it, the boot over all.
 *
 * @param sleeve the sleeve that seals the end; null while none is chosen
 * @param band the coloured sleeve over it, where there is one
 * @param lug what each would have to pass if it were forgotten
 */
export function nesting(
  layers: readonly Layer[],
  jacketMm: number,
  sleeve: Sleeve | null,
  band: Sleeve | null,
  lug: Lug | null,
): LayerOn[] {
  const palm = lug ? Math.max(foldedPalmMm(lug), lug.outerMm) : jacketMm;
  const over = overLayersMm(jacketMm, layers);
  const shrunk = sleeve ? over + 2 * wallOnMm(sleeve, over) : over;
  const opened = (layer: Layer) =>
    layer === 'band' && band ? band.suppliedMm : jacketMm * LAYERS[layer].opens;
  const on = layers.map((layer): LayerOn => {
    const { title, why } = LAYERS[layer];
    const mustPassMm = layer === 'band' ? shrunk : layer === 'boot' ? over : jacketMm;
    return { layer, title, mustPassMm, afterLug: opened(layer) >= SLEEVE_ROOM.pass * palm, why };
  });
  if (!sleeve) return on;
  const { ratio } = SLEEVES[sleeve.kind];
  return [
    ...on,
    {
      layer: 'sleeve',
      title: msg`${sleeve.suppliedMm}/${sleeve.recoveredMm} heat shrink, ${ratio}`,
      mustPassMm: over,
      afterLug: sleeve.suppliedMm >= SLEEVE_ROOM.pass * palm,
      why: msg`seals the end and takes the strain off the last strand`,
    },
  ];
}

/** The thinnest coloured sleeve owned that slides over a shrunk sleeve and grips it; null where none does. */
export function bandFor(
  sleeves: readonly Sleeve[],
  shrunkMm: number,
  colour: Sleeve['colour'],
): Sleeve | null {
  const fits = ({ suppliedMm, recoveredMm }: SleeveSize) =>
    suppliedMm >= SLEEVE_ROOM.pass * shrunkMm && recoveredMm <= SLEEVE_ROOM.grip * shrunkMm;
  return (
    sleeves
      .filter((sleeve) => sleeve.kind === 'thin-2' && sleeve.colour === colour && fits(sleeve))
      .sort((a, b) => a.suppliedMm - b.suppliedMm)[0] ?? null
  );
}
