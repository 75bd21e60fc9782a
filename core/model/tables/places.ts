import { msg } from '../../words/message.ts';

/** Posts of each kind of place; of a fuse or switch, the side of the source first. */
export const PLACE_POSTS = {
  battery: ['plus', 'minus'],
  supply: ['plus', 'minus'],
  dcdc: ['in-plus', 'in-minus', 'out-plus', 'out-minus'],
  load: ['plus', 'minus'],
  fuse: ['line', 'load'],
  breaker: ['line', 'load'],
  switch: ['line', 'load'],
  relay: ['line', 'load'],
  shunt: ['line', 'load'],
  bar: ['post'],
  ground: ['post'],
} as const;

export const POST_NAMES = [
  ...(['plus', 'minus', 'in-plus', 'in-minus', 'out-plus', 'out-minus'] as const),
  ...(['line', 'load', 'post'] as const),
] as const;
export type PostName = (typeof POST_NAMES)[number];

/** What a post is called after its place: "Bank +", "Fuse F1 in". */
export const POST_SIGNS: Readonly<Record<PostName, string>> = {
  plus: '+',
  minus: '−',
  'in-plus': 'in +',
  'in-minus': 'in −',
  'out-plus': 'out +',
  'out-minus': 'out −',
  line: 'in',
  load: 'out',
  post: '',
};

/** What a place is called where it has no better name. */
export const PLACE_KINDS = {
  battery: { title: msg`battery` },
  supply: { title: msg`charger` },
  dcdc: { title: msg`DC-DC charger` },
  load: { title: msg`load` },
  fuse: { title: msg`fuse` },
  breaker: { title: msg`breaker` },
  switch: { title: msg`switch` },
  relay: { title: msg`relay` },
  shunt: { title: msg`shunt` },
  bar: { title: msg`bus bar or stud` },
  ground: { title: msg`chassis or engine block` },
} as const;

export const SUPPLY_SORTS = {
  alternator: { title: msg`alternator` },
  solar: { title: msg`solar controller` },
  mains: { title: msg`mains charger` },
} as const;
export type SupplySort = keyof typeof SUPPLY_SORTS;

/** What a load is drawn as. */
export const LOAD_LOOKS = {
  thruster: { title: msg`thruster` },
  windlass: { title: msg`windlass or winch` },
  inverter: { title: msg`inverter` },
  panel: { title: msg`panel` },
  starter: { title: msg`starter` },
  heater: { title: msg`heater` },
  motor: { title: msg`motor or pump` },
  other: { title: msg`other load` },
} as const;
export type LoadLook = keyof typeof LOAD_LOOKS;

/**
 * What a device takes that gives neither rating nor milliohms, mΩ. Source: customary, on the safe side; its sheet
 * governs. Confidence: low.
 */
export const CUSTOMARY_RELAY_MILLIOHM = 0.3;
