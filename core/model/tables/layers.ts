import { type Message, msg } from '../../words/message.ts';

/** What slides onto a cable besides the heat shrink that seals its end. */
export interface LayerFacts {
  readonly title: Message;
  /** Wall on one side, mm, as it lies on the cable. */
  readonly wallMm: number;
  /** How much wider than the cable it opens by hand; 1 is not at all. */
  readonly opens: number;
  /** Whether its end is caught under the heat shrink. */
  readonly caught: boolean;
  readonly why: Message;
}

/**
 * Layers in the order in which they slide on: what lies closest to the jacket first, then what is wanted last.
 * Walls and openings are typical. Confidence: low to medium; a measured one replaces it.
 */
export const LAYERS = {
  braid: {
    title: msg`braided sleeve`,
    wallMm: 0.6,
    opens: 2,
    caught: true,
    why: msg`against rubbing; its ends are caught under the heat shrink`,
  },
  glass: {
    title: msg`glass sleeve`,
    wallMm: 0.8,
    opens: 1.2,
    caught: true,
    why: msg`against heat near an exhaust`,
  },
  label: {
    title: msg`printed label`,
    wallMm: 0.65,
    opens: 1,
    caught: false,
    why: msg`thin wall, so a tube of its own: it marks, it does not seal`,
  },
  boot: {
    title: msg`rubber boot`,
    wallMm: 2,
    opens: 1.3,
    caught: false,
    why: msg`over a live stud; it is pushed over everything at the end`,
  },
  band: {
    title: msg`coloured band`,
    wallMm: 0.65,
    opens: 1,
    caught: false,
    why: msg`thin coloured sleeve over the black one: it marks polarity`,
  },
} as const satisfies Record<string, LayerFacts>;

export type Layer = keyof typeof LAYERS;
