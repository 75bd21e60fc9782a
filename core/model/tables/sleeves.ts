import { type Message, msg } from '../../words/message.ts';
/** A heat-shrink sleeve as sold: what it passes before shrinking, what it grips after, and its wall then, mm. */
export interface SleeveSize {
  readonly suppliedMm: number;
  readonly recoveredMm: number;
  readonly wallMm: number;
}

export const SLEEVE_KINDS = ['dual-3', 'dual-4', 'medium-3', 'thin-2'] as const;
export type SleeveKind = (typeof SLEEVE_KINDS)[number];

/**
 * Customary heat-shrink sizes and how much each kind shortens.
 *
 * Source: customary sizes of the trade; a maker's sheet governs. Confidence: good for bores, medium for walls.
 */
export const SLEEVES: Readonly<
  Record<
    SleeveKind,
    {
      title: Message;
      ratio: string;
      adhesive: boolean;
      shorteningPercent: number;
      sizes: readonly SleeveSize[];
    }
  >
> = {
  'dual-3': {
    title: msg`dual wall with adhesive`,
    ratio: '3:1',
    adhesive: true,
    shorteningPercent: 12,
    sizes: [
      { suppliedMm: 3, recoveredMm: 1, wallMm: 1.0 },
      { suppliedMm: 6, recoveredMm: 2, wallMm: 1.0 },
      { suppliedMm: 9, recoveredMm: 3, wallMm: 1.4 },
      { suppliedMm: 12, recoveredMm: 4, wallMm: 1.8 },
      { suppliedMm: 19, recoveredMm: 6, wallMm: 2.2 },
      { suppliedMm: 24, recoveredMm: 8, wallMm: 2.5 },
      { suppliedMm: 30, recoveredMm: 10, wallMm: 2.5 },
      { suppliedMm: 39, recoveredMm: 13, wallMm: 2.5 },
    ],
  },
  'dual-4': {
    title: msg`dual wall with adhesive`,
    ratio: '4:1',
    adhesive: true,
    shorteningPercent: 12,
    sizes: [
      { suppliedMm: 4, recoveredMm: 1, wallMm: 1.0 },
      { suppliedMm: 8, recoveredMm: 2, wallMm: 1.1 },
      { suppliedMm: 12, recoveredMm: 3, wallMm: 1.4 },
      { suppliedMm: 16, recoveredMm: 4, wallMm: 1.7 },
      { suppliedMm: 24, recoveredMm: 6, wallMm: 2.2 },
      { suppliedMm: 32, recoveredMm: 8, wallMm: 2.4 },
      { suppliedMm: 52, recoveredMm: 13, wallMm: 2.5 },
    ],
  },
  'medium-3': {
    title: msg`medium wall with adhesive`,
    ratio: '3:1',
    adhesive: true,
    shorteningPercent: 12,
    sizes: [
      { suppliedMm: 22, recoveredMm: 6, wallMm: 2.0 },
      { suppliedMm: 33, recoveredMm: 8, wallMm: 2.4 },
      { suppliedMm: 38, recoveredMm: 12, wallMm: 2.6 },
      { suppliedMm: 55, recoveredMm: 16, wallMm: 2.8 },
    ],
  },
  'thin-2': {
    title: msg`thin wall`,
    ratio: '2:1',
    adhesive: false,
    shorteningPercent: 10,
    sizes: [
      { suppliedMm: 6.4, recoveredMm: 3.2, wallMm: 0.65 },
      { suppliedMm: 9.5, recoveredMm: 4.8, wallMm: 0.65 },
      { suppliedMm: 12.7, recoveredMm: 6.4, wallMm: 0.65 },
      { suppliedMm: 16, recoveredMm: 8, wallMm: 0.75 },
      { suppliedMm: 19, recoveredMm: 9.5, wallMm: 0.75 },
      { suppliedMm: 25.4, recoveredMm: 12.7, wallMm: 0.9 },
      { suppliedMm: 38, recoveredMm: 19, wallMm: 1.0 },
    ],
  },
};
