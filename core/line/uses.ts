import { type Message, msg } from '../words/message.ts';

/** What a cable may be for, as people name it. */
export const LINE_USES = {
  inverter: msg`inverter`,
  thruster: msg`thruster`,
  windlass: msg`windlass`,
  winch: msg`winch`,
  starter: msg`starter`,
  panel: msg`panel`,
  solar: msg`solar controller`,
  charger: msg`charger`,
  alternator: msg`alternator`,
  dcdc: msg`DC-DC charger`,
  fridge: msg`refrigerator`,
  pump: msg`pump`,
  heater: msg`heater`,
  lights: msg`lights`,
  motor: msg`motor`,
} as const satisfies Readonly<Record<string, Message>>;
export type LineUse = keyof typeof LINE_USES;

/** Words that name a use, in the languages that are read: longest first where one begins another. */
export const USE_WORDS: readonly (readonly [LineUse, readonly string[]])[] = [
  ['inverter', ['inverter', 'omvormer']],
  ['thruster', ['bow thruster', 'stern thruster', 'thruster', 'boegschroef', 'hekschroef']],
  ['windlass', ['anchor windlass', 'windlass', 'ankerlier']],
  ['starter', ['starter motor', 'starter', 'startmotor']],
  ['winch', ['winch', 'lier']],
  ['panel', ['distribution panel', 'panel', 'verdeelpaneel', 'schakelpaneel', 'paneel']],
  ['solar', ['solar controller', 'solar', 'mppt', 'zonnelader', 'zonneregelaar', 'zon']],
  ['dcdc', ['dc-dc charger', 'dc-dc', 'dcdc', 'b2b', 'dc-dc-lader']],
  ['charger', ['battery charger', 'mains charger', 'charger', 'acculader', 'walstroomlader', 'lader']],
  ['alternator', ['alternator', 'dynamo']],
  ['fridge', ['refrigerator', 'fridge', 'freezer', 'koelkast', 'vriezer']],
  ['pump', ['bilge pump', 'pump', 'bilgepomp', 'pomp']],
  ['heater', ['heater', 'verwarming', 'kachel']],
  ['lights', ['lights', 'lighting', 'verlichting', 'lampen']],
  ['motor', ['motor', 'engine']],
];

/** How a use is customarily run, where the line does not say: for so long, at such amps. */
export const CUSTOMARY_USE: Partial<
  Readonly<
    Record<LineUse, { readonly seconds?: number; readonly amps?: number; readonly dropPercent?: number }>
  >
> = {
  thruster: { seconds: 180, dropPercent: 5 },
  windlass: { seconds: 120, dropPercent: 5 },
  winch: { seconds: 60, dropPercent: 5 },
  starter: { seconds: 5, amps: 300, dropPercent: 5 },
};
