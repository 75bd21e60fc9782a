import { type Message, msg } from '../../words/message.ts';
/** What a kind of crimping tool does to a lug, and what it needs round it. */
export interface ToolKindFacts {
  readonly title: Message;
  /** A hexagon is judged by its figures; an indent only by trial. */
  readonly leaves: 'hexagon' | 'indent';
  /** How one knows that it is done. */
  readonly stop: Message;
  /** Room for its handles or for the hammer, mm. */
  readonly swingMm: number;
  /** Whether it must be struck against something that does not give. */
  readonly solidFloor: boolean;
  readonly benchOnly: boolean;
  /** Hands, vice or helper. */
  readonly hands: Message;
  /** The most copper its kind usually closes on, mm². */
  readonly largestMm2: number;
  /** What else is minded as it closes; empty where nothing is. */
  readonly minded: Message;
  /** What a crimp of it cannot prove, where it is a last resort; empty where it is none. */
  readonly lastResort: Message;
  /** Why it is never used or guided; empty where it may be. */
  readonly refused: Message;
}

const tool = (facts: Partial<ToolKindFacts> & Pick<ToolKindFacts, 'title' | 'stop' | 'swingMm'>) => ({
  leaves: 'hexagon' as const,
  solidFloor: false,
  benchOnly: false,
  hands: msg`two hands`,
  largestMm2: 150,
  minded: '',
  lastResort: '',
  refused: '',
  ...facts,
});

/** Kinds of crimping tool. Source: craft practice; a tool's own sheet governs. Confidence: medium. */
export const TOOL_KINDS = {
  'hand lever': tool({
    title: msg`hand lever, indent`,
    leaves: 'indent',
    stop: msg`the handles meet at the dial mark`,
    swingMm: 600,
    hands: msg`a vice, or a helper to hold the cable`,
    largestMm2: 120,
  }),
  hammer: tool({
    title: msg`hammer-struck plunger`,
    leaves: 'indent',
    stop: msg`the plunger reaches its mark`,
    swingMm: 450,
    solidFloor: true,
    hands: msg`both hands free; force depends on the blow`,
    minded: msg`Strike square, the same each time, until the mark: the last blow no longer moves it.`,
  }),
  'hand hydraulic': tool({
    title: msg`hand hydraulic`,
    stop: msg`the dies touch`,
    swingMm: 350,
    hands: msg`one hand pumps, one holds the cable home`,
    minded: msg`Valve shut before you pump; open it only once the dies touch, or the crimp is half made.`,
  }),
  'bench hydraulic': tool({
    title: msg`bench hydraulic, foot switch`,
    stop: msg`the dies touch`,
    swingMm: 0,
    benchOnly: true,
    hands: msg`both hands hold the cable`,
    largestMm2: 400,
  }),
  ratchet: tool({
    title: msg`ratchet, small terminals`,
    stop: msg`the ratchet lets go`,
    swingMm: 250,
    hands: msg`one hand`,
    largestMm2: 16,
  }),
  punch: tool({
    title: msg`punch on an angle, last resort`,
    leaves: 'indent',
    stop: msg`the strands no longer move`,
    swingMm: 450,
    solidFloor: true,
    hands: msg`a helper holds the cable home; eyes of both covered`,
    largestMm2: 70,
    minded: msg`Barrel in the angle, punch in the middle, one dent on each side of it; no deeper than half the barrel.`,
    lastResort: msg`It has no stop and leaves nothing to measure: no two are alike, and only pulling one apart tests it.`,
  }),
  improvised: tool({
    title: msg`improvised press`,
    stop: '',
    swingMm: 0,
    refused: msg`a press made from a jack or a welded frame stores enough energy to injure when something slips: use a made tool`,
  }),
} as const satisfies Record<string, ToolKindFacts>;

export type ToolKind = keyof typeof TOOL_KINDS;
