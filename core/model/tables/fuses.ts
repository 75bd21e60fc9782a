import { type Message, msg } from '../../words/message.ts';
/** A point of a fuse's curve: at this multiple of its rating it has cleared within these seconds at the latest. */
export interface ClearingPoint {
  readonly multiple: number;
  readonly seconds: number;
}

/** A generic kind of DC fuse. A device's own data sheet governs rating, curve and interrupting rating. */
export interface FuseKindData {
  readonly title: Message;
  /** Highest system voltage and the current it can interrupt there, most demanding last; empty where only its sheet says. */
  readonly breaking: readonly { readonly upToV: number; readonly amps: number }[];
  /** Longest clearing times; empty where they must be typed from the maker's sheet. */
  readonly curve: readonly ClearingPoint[];
}

export type FuseKind = 'strip' | 'link' | 'post-block' | 'class-t' | 'blade-nh' | 'breaker';

/**
 * Generic DC fuses.
 *
 * Source: customary figures of the kinds. Confidence: medium; the link's curve medium, the others' not known.
 */
export const FUSES: Readonly<Record<FuseKind, FuseKindData>> = {
  strip: { title: msg`bolt-down strip`, breaking: [{ upToV: 32, amps: 6000 }], curve: [] },
  link: {
    title: msg`bolt-down link`,
    breaking: [{ upToV: 32, amps: 2000 }],
    curve: [
      { multiple: 1.35, seconds: 1800 },
      { multiple: 2, seconds: 15 },
      { multiple: 3.5, seconds: 5 },
      { multiple: 6, seconds: 1 },
    ],
  },
  'post-block': {
    title: msg`battery-post block`,
    breaking: [
      { upToV: 14, amps: 10000 },
      { upToV: 32, amps: 5000 },
      { upToV: 58, amps: 2000 },
    ],
    curve: [],
  },
  'class-t': { title: msg`class T cartridge`, breaking: [{ upToV: 125, amps: 20000 }], curve: [] },
  'blade-nh': { title: msg`knife-blade cartridge`, breaking: [{ upToV: 250, amps: 25000 }], curve: [] },
  breaker: { title: msg`circuit breaker`, breaking: [], curve: [] },
};

/** Ratings made, A. */
export const FUSE_RATINGS_A = [
  30, 40, 50, 60, 70, 80, 100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 500, 600,
] as const;

/** How far a fuse may stand from its source, mm. Source: small-craft practice. */
export const FUSE_PLACES = {
  near: { title: msg`unsheathed`, mostMm: 175 },
  'battery-sheathed': { title: msg`at a battery, in a sheath`, mostMm: 1830 },
  sheathed: { title: msg`elsewhere, in a sheath`, mostMm: 1020 },
} as const;

export type FusePlace = keyof typeof FUSE_PLACES;
