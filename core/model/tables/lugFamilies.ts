import type { SizeSystem } from './size.ts';
import { type Message, msg } from '../../words/message.ts';

/** One size of a lug family: bore, outside diameter and depth of its barrel, mm. */
export interface LugBarrel {
  readonly boreMm: number;
  readonly outerMm: number;
  readonly barrelMm: number;
}

/** A family of lugs: one maker-neutral pattern in its sizes. A measured lug always replaces it. */
export interface LugFamily {
  /** As the shop's files name it: a standard die is known by it, in whatever language it is read. */
  readonly title: string;
  readonly source: Message;
  readonly system: SizeSystem;
  readonly sizes: Readonly<Record<string, LugBarrel>>;
  /** Standard die code of each size, where the family has one. */
  readonly dieCode?: Readonly<Record<string, number>>;
}

export type LugFamilyId = 'compression-metric' | 'tube-metric' | 'heavy-inch' | 'light-inch';

/**
 * Typical lug barrels.
 *
 * Source: DIN 46235 dimensions d1, d4 and barrel length for the heavy metric family; typical of the family for the
 * others. Confidence: good for the standard family, medium for the rest.
 */
export const LUG_FAMILIES: Readonly<Record<LugFamilyId, LugFamily>> = {
  'compression-metric': {
    title: 'heavy metric compression lug',
    source: msg`DIN 46235 dimensions d1 bore, d4 outside, barrel length`,
    system: 'metric',
    sizes: {
      '10': { boreMm: 4.5, outerMm: 6, barrelMm: 10 },
      '16': { boreMm: 5.5, outerMm: 8.5, barrelMm: 20 },
      '25': { boreMm: 7, outerMm: 10, barrelMm: 20 },
      '35': { boreMm: 8.2, outerMm: 12.5, barrelMm: 20 },
      '50': { boreMm: 10, outerMm: 14.5, barrelMm: 28 },
      '70': { boreMm: 11.5, outerMm: 16.5, barrelMm: 28 },
      '95': { boreMm: 13.5, outerMm: 19, barrelMm: 35 },
      '120': { boreMm: 15.5, outerMm: 21, barrelMm: 35 },
      '150': { boreMm: 17, outerMm: 23.5, barrelMm: 35 },
      '185': { boreMm: 19, outerMm: 25.5, barrelMm: 40 },
      '240': { boreMm: 21.5, outerMm: 29, barrelMm: 40 },
    },
    dieCode: { 10: 6, 16: 8, 25: 10, 35: 12, 50: 14, 70: 16, 95: 18, 120: 20, 150: 22, 185: 25, 240: 28 },
  },
  'tube-metric': {
    title: 'light metric tube lug',
    source: msg`typical of the family`,
    system: 'metric',
    sizes: {
      '10': { boreMm: 4.5, outerMm: 6, barrelMm: 10 },
      '16': { boreMm: 5.5, outerMm: 7.5, barrelMm: 12 },
      '25': { boreMm: 7, outerMm: 9, barrelMm: 14 },
      '35': { boreMm: 8.5, outerMm: 10.5, barrelMm: 16 },
      '50': { boreMm: 10, outerMm: 12.5, barrelMm: 18 },
      '70': { boreMm: 12, outerMm: 15, barrelMm: 21 },
      '95': { boreMm: 13.5, outerMm: 17, barrelMm: 24 },
      '120': { boreMm: 15, outerMm: 19, barrelMm: 26 },
      '150': { boreMm: 16.5, outerMm: 21, barrelMm: 30 },
    },
  },
  'heavy-inch': {
    title: 'heavy-wall inch-gauge lug',
    source: msg`typical of the family`,
    system: 'awg',
    sizes: {
      '8': { boreMm: 4.2, outerMm: 6.6, barrelMm: 16 },
      '6': { boreMm: 5.4, outerMm: 8.1, barrelMm: 19 },
      '4': { boreMm: 6.7, outerMm: 9.7, barrelMm: 22 },
      '2': { boreMm: 8.4, outerMm: 11.7, barrelMm: 24 },
      '1': { boreMm: 9.5, outerMm: 13.0, barrelMm: 26 },
      '1/0': { boreMm: 10.7, outerMm: 14.3, barrelMm: 28 },
      '2/0': { boreMm: 12.0, outerMm: 16.0, barrelMm: 29 },
      '3/0': { boreMm: 13.4, outerMm: 17.8, barrelMm: 31 },
      '4/0': { boreMm: 15.0, outerMm: 19.8, barrelMm: 33 },
    },
  },
  'light-inch': {
    title: 'light inch-gauge lug',
    source: msg`typical of the family`,
    system: 'awg',
    sizes: {
      '8': { boreMm: 4.2, outerMm: 5.8, barrelMm: 13 },
      '6': { boreMm: 5.4, outerMm: 7.3, barrelMm: 15 },
      '4': { boreMm: 6.7, outerMm: 8.9, barrelMm: 17 },
      '2': { boreMm: 8.5, outerMm: 10.7, barrelMm: 19 },
      '1': { boreMm: 9.5, outerMm: 12.0, barrelMm: 21 },
      '1/0': { boreMm: 10.7, outerMm: 13.4, barrelMm: 22 },
      '2/0': { boreMm: 12.0, outerMm: 15.0, barrelMm: 24 },
      '3/0': { boreMm: 13.4, outerMm: 16.8, barrelMm: 26 },
      '4/0': { boreMm: 15.0, outerMm: 18.8, barrelMm: 28 },
    },
  },
};
