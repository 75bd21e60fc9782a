import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of the system, of the sizes chosen together, and of a hunt. */
export const SYSTEM_HELP: readonly HelpEntry[] = [
  [
    say`Kind of place`,
    say`What stands there: a battery, a load, a charger, a fuse, a switch, a bus bar, a ground. Currents and voltage drops of the whole system are calculated from its places.`,
  ],
  [
    say`Type of source`,
    say`What feeds the system here: an alternator, a shore charger, solar, or a converter from another bank. It decides which figures are required of it.`,
  ],
  [say`Drawn as`, say`The shape under which the place is drawn. It changes the picture and no figure.`],
  [
    say`Load draws`,
    say`In what the load is given. Watts draw more amps as the volts fall, as an inverter does; amps stay; milliohms draw less, as a heater or a lamp does.`,
  ],
  [
    say`Current`,
    say`Amps the load draws at its nominal volts, from its plate or by a clamp meter. Its states say how much of it is on.`,
  ],
  [
    say`Power output`,
    say`Watts that the load gives out, from its plate. What it draws from the battery is more, by its efficiency, and the more the lower the volts are.`,
  ],
  [
    say`Switches off under`,
    say`Volts at which the load switches itself off, from its sheet. It is compared with the volts that really reach it at the end of the cable.`,
  ],
  [
    say`Nominal volts`,
    say`Volts by which the battery is called: 12, 24 or 48. Shares of drop are counted from it.`,
    'pole',
  ],
  [
    say`Volts at rest`,
    say`Volts of the battery with nothing on it, as measured after a rest. Without it the nominal volts are used.`,
  ],
  [
    say`Output voltage`,
    say`Volts that the source holds at its terminals while it can give the amps. Read it off its display or its sheet.`,
  ],
  [
    say`Output current`,
    say`The most that the source gives, from its plate. Beyond it its volts fall, and the battery gives the rest.`,
  ],
  [
    say`Voltage on its output side`,
    say`Volts that the converter holds on its output side while it can give the amps. Read it off its display or its sheet.`,
  ],
  [
    say`Voltage drop allowed`,
    say`Share of the volts that may be lost between source and this load, out and back. 3 % is usual for what must work, 10 % for what runs slower without harm.`,
    'drop',
  ],
  [
    say`Allowed in a short state`,
    say`Share of the volts that may be lost in a state that lasts moments, as starting. Without it the same share holds as in steady use.`,
    'drop',
  ],
  [
    say`Minimum volts at the load`,
    say`Volts the load needs to work at all, from its sheet. It is checked besides the share, since a share says nothing of a battery that is low.`,
  ],
  [
    say`Resistance`,
    say`Milliohms between its two studs, from its sheet or measured with a known current. Left empty, what is usual for its kind and rating is used.`,
  ],
  [
    say`Rating`,
    say`Amps the device may carry continuously, printed on it. A device below the current that flows through it in any state is found.`,
  ],
  [
    say`Interrupting rating`,
    say`The largest fault current that the device can interrupt, from its sheet. A short circuit beyond it makes an arc that goes on burning inside a closed fuse.`,
  ],
  [
    say`Kind of fuse`,
    say`Make-up of the fuse, by its data sheet. It decides how large a fault it can interrupt, how many volts it bears, and how long it carries a surge.`,
  ],
  [
    say`Negative returns by`,
    say`The ground its current comes back to. With a cable of its own, that cable is drawn and sized; with a ground, the metal carries the current, and that metal must be measured.`,
    'return',
  ],
  [
    say`Studs`,
    say`Thread of the studs of this place. Every lug that ends here gets its hole from it.`,
    'hole',
  ],
  [
    say`Clears within, × rating: s`,
    say`Multiples of the rating and the seconds after which it has surely interrupted, from its data sheet. It tells whether a far fault is cleared before the cable is too hot.`,
  ],
  [
    say`Melts not before, × rating: s`,
    say`The least seconds that the device carries each multiple of its rating. It tells whether a starting motor trips it.`,
  ],
  [
    say`Resistance to ${ANY}, with its straps`,
    say`Milliohms between the two grounds, measured with a known current. Rust or paint under a strap shows here first; the return current of the system flows through it.`,
  ],
  [
    say`Name of the state`,
    say`A way in which the system is used: starting, under sail at night, charging at the quay. Every cable is judged in each of its states.`,
  ],
  [
    say`Duration`,
    say`How long the state lasts. One that is held must never overheat a cable; a short or repeating one heats it by its time.`,
  ],
  [
    say`For`,
    say`How long the state lasts each time, such as 12 s or 3 min. Copper heats slowly, so short states may carry more.`,
  ],
  [
    say`From one to the next`,
    say`Time from one beginning to the next. The shorter the rest, the less the copper cools in between.`,
  ],
  [
    say`Least`,
    say`What shall be as small as possible: copper, weight, price, or price with what the losses cost over the years. All limits of drop, heat and fuses are kept in any case.`,
  ],
  [
    say`Of the drop allowed`,
    say`How much of the allowed drop may be used up. Less than all keeps something in hand for ageing contacts and later additions.`,
    'drop',
  ],
  [
    say`Different sizes at most`,
    say`How many sizes of cable you want to buy and carry dies for. Fewer sizes cost some copper and save spools, lugs and tools.`,
  ],
  [
    say`Weight at most`,
    say`What all the cables of the installation may weigh together, lugs and fuses not counted. The sizes then stay under it, and what that costs is said beside it.`,
  ],
  [say`Years`, say`Over how many years the losses are counted. Longer makes thicker copper pay.`],
  [
    say`Price of a kWh`,
    say`What a kilowatt-hour costs you: from the quay little, from a generator or solar panels far more.`,
  ],
  [
    say`Hours a year, ${ANY}`,
    say`Hours of a year that the system spends in this state. The losses in the cables are counted for them.`,
  ],
  [
    say`Begin with`,
    say`The cable that the trouble shows on. The hunt begins with the chain of parts from the battery through it and back.`,
  ],
  [
    say`This hunt`,
    say`A name to find it again by, such as windlass slow, port side. It heads the sheet that you print.`,
  ],
  [
    say`The load`,
    say`What is slow, dim or cuts out, by the name on its plate. The chain ends there and returns by its return path.`,
  ],
  [
    say`The test`,
    say`How the chain is loaded while you measure: by the load itself, or by a lamp or resistor of known current. Without current there is no voltage drop to find.`,
  ],
  [
    say`Copper at`,
    say`Temperature of the cables while you measure. Each degree is 0.4 % of resistance, and so of the expected millivolts.`,
  ],
  [
    say`Name of ${ANY}`,
    say`What this part is called on your plan. It stands in the proposal of what to measure next.`,
  ],
  [
    say`Size of ${ANY}`,
    say`Cross-section, by the print on the jacket or measured over the bare strands, such as 70 mm² or 2/0. The outside of the cable does not tell it: jackets differ.`,
  ],
  [
    say`Length of ${ANY}`,
    say`Length of this part along its route. Expected millivolts follow from it, and a fault is what lies well above them.`,
    'along',
  ],
  [
    say`tinned`,
    say`Tick it where the strands are silver-coloured. Tinned copper has slightly more resistance, and green corrosion starts later in it.`,
  ],
  [
    say`Expected drop of ${ANY}`,
    say`Expected drop of this part with the current of the test, from its sheet: a fuse, a switch or a shunt each has its own.`,
  ],
  [
    say`behind a panel`,
    say`Tick it where the probe cannot reach without taking something off. The next measurement is proposed where it is easy first.`,
  ],
  [
    say`Battery volts, no load`,
    say`Volts on the posts of the battery themselves with nothing on, not on the clamps. Below the usual, charge first: a flat battery looks like a bad cable.`,
  ],
  [
    say`Battery volts, under load`,
    say`Volts on the posts of the battery under load. If they fall far, the battery is the fault and no cable is.`,
  ],
  [
    say`Volts at the load`,
    say`Volts at the terminals of the load while it runs. What is missing against the posts is lost in the circuit, and the hunt finds where.`,
  ],
  [
    say`Reading, mV`,
    say`Millivolts between the two places while the load flows, either way round. Press the tips on bare metal and wait until the figure stands.`,
  ],
  [
    say`Current then`,
    say`Amps at that very moment, by a clamp meter or shunt. Millivolts are compared with what these amps should drop.`,
  ],
  [say`From`, say`First place of the probe. The part between both places is what is measured.`],
  [say`To`, say`Second place of the probe. Two places far apart clear many parts with one reading.`],
  [
    say`Millivolts across ${ANY}`,
    say`Millivolts across this part while the load flows. Press the tips on bare metal, not on a nut or a washer: the contact face belongs to the part.`,
  ],
  [
    say`Amps while reading across ${ANY}`,
    say`Amps at the moment of this reading, by a clamp meter or shunt. Millivolts are compared with what these amps should drop.`,
  ],
];
