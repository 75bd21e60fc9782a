import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of a run: the load, the route, the installation and the source. */
export const RUN_HELP: readonly HelpEntry[] = [
  [
    say`From, end A`,
    say`Where end A is bolted, by the name on your plan or on the part. Ends on the same place share its stud and their lugs are stacked together. A wrong name puts a lug on a stud it does not fit.`,
  ],
  [
    say`To, end B`,
    say`Where end B is bolted. Use the same name for the same place on every cable, so that cables on one stud find each other.`,
  ],
  [
    say`Polarity`,
    say`Positive, negative, or a link between two batteries. It decides the colour of the jacket, the order of joining and what is covered. Check with a meter at the battery, never by the colour alone: a cable labelled with the wrong pole shorts a bank.`,
    'pole',
  ],
  [
    say`System`,
    say`Nominal volts of the bank: 12, 24 or 48. Read it off the batteries and how they are joined, in series or parallel. At half the volts the same power draws twice the amps, and the size follows the amps.`,
  ],
  [
    say`Load given in`,
    say`Amps where the plate says amps, as on a panel, winch or thruster; watts for an inverter, whose amps rise as the battery falls.`,
  ],
  [
    say`Continuous`,
    say`Amps that flow for as long as the load runs. Take them from the plate or its sheet, or clamp a meter round the cable under load. Too low, and the cable runs hotter than was calculated; what flows only for moments goes under surge.`,
  ],
  [
    say`Output power`,
    say`Watts that the inverter delivers, as on its plate. What it draws from the battery is more, by its efficiency.`,
  ],
  [
    say`Allowed drop`,
    say`Share of the volts that may be lost out and back, at the load. 3 % is usual for what must work: navigation, bilge pump, inverter; 10 % for what merely runs slower or dimmer. Allow too much and electronics cut out while the battery is full.`,
    'drop',
  ],
  [
    say`Length along the route, stud to stud`,
    say`Length along the route, from the middle of one stud to the middle of the other, round every bend. Lay a cord or an old cable along it and measure that. Too short is scrap; too long costs drop.`,
    'along',
  ],
  [
    say`Efficiency`,
    say`What the inverter or converter gives out of what it takes, from its sheet: 85 to 93 % at full load is usual for an inverter. Lower means more amps.`,
  ],
  [
    say`Lowest battery voltage`,
    say`Volts of the battery when it is as low as you let it go, under load. A load in watts draws most there, so that is what the cable is sized for.`,
  ],
  [
    say`Low-voltage cut-out of the load`,
    say`Volts at which the load switches itself off, from its sheet. With the drop taken into account, it tells whether the load stops before the battery is empty.`,
  ],
  [
    say`Hours a year`,
    say`For how long the load really runs in a year. It changes no size by itself: it only says what the heat lost in the cable costs.`,
  ],
  [
    say`Surge or duty cycle`,
    say`Steps of current that are higher than what is held: a motor starting, a windlass hauling for two minutes and resting for ten. The copper's heating is followed step by step. Left out, a thruster cable looks far too thick or burns.`,
    'duty',
  ],
  [
    say`Start from`,
    say`A usual duty to begin with: a starter, a windlass, a bow thruster, an inverter that starts a motor. Its steps are put in the table, where you replace them by the figures of your own machine.`,
  ],
  [
    say`Usual limits, %`,
    say`The usual allowances: 3 % for navigation lights, pumps, electronics and inverters, 10 % for what runs slower or dimmer without harm. Your local code or the maker of the load may require less.`,
    'drop',
  ],
  [
    say`Step ${ANY}`,
    say`Amps of this step, from the plate or measured with a clamp meter that records the peak. A motor that starts draws several times its running current for a moment.`,
    'duty',
  ],
  [
    say`Step ${ANY} lasts`,
    say`How long the step lasts, in seconds or minutes. The copper heats slowly: half a second of starting hardly warms a cable, three minutes of a thruster do.`,
    'duty',
  ],
  [
    say`Repeats`,
    say`Tick it where the steps repeat without a long rest, as a compressor that cycles. The copper then does not cool to the air in between, and its highest temperature is that after many rounds.`,
    'duty',
  ],
  [
    say`Drop allowed during the surge`,
    say`Share of the volts that may be lost while the surge lasts. It may be more than in steady use, but not so much that a relay lets go or electronics on the same battery restart.`,
    'drop',
  ],
  [
    say`Service loop`,
    say`Slack that is kept so that a lug can be cut off and made again once: two or three times the strip length. It is cut and weighed with the cable.`,
  ],
  [
    say`Return path`,
    say`The path of the return current. Its own cable of the same size, the rest of its circuit where other cables are in the job, the chassis, or none for a link. A forgotten return halves the drop on paper and nowhere else.`,
    'return',
  ],
  [
    say`Return length`,
    say`Length of the return cable along its own route, which is often not that of the outgoing one. Both are added up for the drop; a guess here is a guess in the size.`,
    'return',
  ],
  [
    say`Chassis and straps`,
    say`Resistance of the metal path back, measured from the load's ground to the battery's negative, straps included. Rust under a strap gives many times the usual figure, and no thicker cable makes up for it.`,
    'return',
  ],
  [
    say`Circuit`,
    say`Cables with the same circuit name carry one current in series, such as battery to switch and switch to windlass. They share one allowed drop: the circuit passes or fails as a whole.`,
    'return',
  ],
  [
    say`Device ${ANY}`,
    say`A fuse, switch, shunt or relay that the current of this circuit passes. Each has a small resistance of its own, which counts in the drop and shows in a voltage drop test.`,
  ],
  [
    say`Rating of device ${ANY}`,
    say`Amps the device may carry continuously, printed on it. From it follows a usual resistance, if you give none; and a device below the current of the circuit is found.`,
  ],
  [
    say`Its resistance`,
    say`Milliohms from the data sheet, or measured in four-wire with a known current through it. A worn contact has several times the figure of a new one.`,
  ],
  [
    say`Route, legs and bends`,
    say`Straight stretches and bends in order, from end A: 850, 90° r80, 1240. The length and the tightest bend come from it. Measure along the middle of the cable.`,
  ],
  [
    say`Zone ${ANY}`,
    say`What makes this stretch hotter: the engine space, a boiler, an exhaust nearby, a dark deck in the sun. The hottest stretch decides for the whole cable, since one current flows through all of it.`,
  ],
  [
    say`Zone ${ANY} from`,
    say`Where the hotter stretch begins, measured along the cable from stud A. A few centimetres in the heat count like metres: the conductor there gets as hot.`,
    'along',
  ],
  [
    say`Zone ${ANY} to`,
    say`Where the hotter stretch ends, measured along the cable from stud A. Take the warm air beyond a bulkhead along with it where it is not sealed.`,
    'along',
  ],
  [
    say`Zone ${ANY} air`,
    say`Hottest air in this stretch, measured there with the engine at work on a warm day. Allowed current falls with every degree and reaches nothing at the rating of the cable.`,
  ],
  [
    say`engine space ${ANY}`,
    say`Tick it where the stretch runs through an engine space. The air there then counts as at least as hot as is customary for engine spaces, whatever was measured on a cool day.`,
  ],
  [
    say`sun ${ANY}`,
    say`Tick it where the sun shines on the cable. A dark jacket in the sun is well above the air around it, and the cable may carry less.`,
  ],
  [
    say`Hole ${ANY}`,
    say`What the cable passes here: a bulkhead, a gland, a deck fitting. It needs a bush or gland, so that an edge never cuts into the jacket.`,
    'hole',
  ],
  [
    say`Hole ${ANY} at`,
    say`Where the hole is, measured along the cable from stud A. From it follows which end is the easier one to pull through.`,
    'along',
  ],
  [
    say`Hole ${ANY} across`,
    say`Clear width of the hole with its gland or bush in place, edge to edge. A lug with its sleeve is wider than the cable: an end that does not pass must be crimped in place.`,
    'hole',
  ],
  [
    say`Chafe point ${ANY}, against`,
    say`What the cable touches and moves against: an edge, a frame, another cable, a hose. Movement wears through any jacket in time, and then the whole battery feeds the short.`,
  ],
  [
    say`Chafe point ${ANY} at`,
    say`Where it rubs, measured along the cable from stud A. The drawing marks the place, and the kit gets a guard for it.`,
    'along',
  ],
  [
    say`Guard ${ANY}`,
    say`What lies between the cable and the edge, now or once it is fitted; the kit gets it. A live conductor needs a slit hose or a bushing: worn through, it is a short. For a ground an edge strip or a braid over the cable is enough.`,
  ],
  [
    say`Support spacing`,
    say`Distance between clips or saddles along the route. Too far apart the cable hangs and works at its lugs; many codes give a greatest distance, and at every lug the first one must be near.`,
  ],
  [
    say`Highest air temperature`,
    say`Air where the cable is warmest, on the hottest day and with the engine running: hang a thermometer there. An engine space counts as 60 °C whatever is typed. Five degrees too low is one size too thin near the limit.`,
  ],
  [
    say`Installation`,
    say`How the cable sheds its heat: free in air, on a wall, against its return, in conduit, in a bundle. Shut in, the same copper may carry as little as half.`,
  ],
  [
    say`Loaded cables in the bundle`,
    say`How many cables in the bundle carry current at the same time, this one included. Cables that only carry it at other times do not count. The more, the less each may carry.`,
  ],
  [
    say`Terminal rating`,
    say`Temperature that the terminal, fuse or switch may reach where the lug is bolted, from its sheet: often 75 or 90 °C. The lowest of cable and terminal governs. Too high a figure and the cable cooks what it is bolted to.`,
    'terminal',
  ],
  [
    say`In an engine space`,
    say`Tick it where any part of the route lies in an engine space. Its air then counts as at least as hot as is customary there, and cables with a low rating are refused.`,
  ],
  [
    say`In the sun`,
    say`Tick it where the sun shines on the cable. A dark jacket gets well above the air around it, so the cable may carry less; the jacket must also stand sunlight for years.`,
  ],
  [
    say`Source at end ${ANY}`,
    say`What is known of the battery at this end. It decides how many amps a short circuit can draw, and with that which fuse can interrupt it. Unknown is not harmless: the check then stays open.`,
  ],
  [
    say`Source given as`,
    say`What is known of the battery: its resistance, its cells, its ampere-hours or cranking amps. It decides how many amps a short circuit can draw and which fuse can interrupt it.`,
  ],
  [
    say`Source resistance${ANY}`,
    say`Milliohms of the whole battery as it stands, from its sheet or a battery tester that measures with alternating current. The lower, the more a short circuit draws.`,
  ],
  [
    say`One cell${ANY}`,
    say`Milliohms of one cell, from its data sheet: a large lithium cell has a fraction of a milliohm. New cells have the least, and for a short circuit the least counts.`,
  ],
  [
    say`In series${ANY}`,
    say`How many cells or blocks follow one another from negative to positive: four for a 12 V battery of lithium iron phosphate, eight for 24 V, sixteen for 48 V.`,
  ],
  [
    say`Strings${ANY}`,
    say`How many equal strings lie side by side. Each feeds a short circuit with all it has; and a fault inside one string is fed by all the others.`,
  ],
  [
    say`Fuse of each string${ANY}`,
    say`Rating of the fuse in each string. A short circuit inside one string is fed by the others, and only a fuse of the string itself interrupts it.`,
  ],
  [
    say`Kind of battery${ANY}`,
    say`What the battery is made of, printed on it. A lithium battery gives a short circuit several times what a lead one of the same size does.`,
  ],
  [
    say`Ampere-hours${ANY}`,
    say`Capacity of the whole battery, printed on its blocks: blocks side by side add up, blocks in series do not. Short-circuit current is estimated from it, roughly: low confidence.`,
  ],
  [
    say`Cranking amps${ANY}`,
    say`The cold cranking figure printed on a starter battery. Resistance and short-circuit current are estimated from it, at low confidence: a data sheet or a measured figure is better.`,
  ],
  [
    say`Stamped for${ANY}`,
    say`The temperature the cranking figure holds at. Printed beside it: CCA is for cold, MCA for the freezing point, CA or HCA for warm. The same battery bears a higher number when it is warm.`,
  ],
  [
    say`Charged to at most`,
    say`Highest volts while charging, from the charger or the chemistry: it decides whether fuse and cable are rated for enough.`,
  ],
  [
    say`Coldest it must start in`,
    say`Coldest morning on which the engine must start. Cold oil needs more and a cold battery gives less: both are taken into account.`,
  ],
  [
    say`Both ends can feed a fault`,
    say`Tick it where there is a battery or charger at each end: then a short is fed from both, and each end needs its own protection.`,
  ],
  [
    say`Starter circuit (normally unfused)`,
    say`Many codes let a starter cable go unfused, where it is short, well guarded and supported. Tick it only where your code does. The short-circuit danger stays and is shown.`,
  ],
  [
    say`Fuse ${ANY} at end`,
    say`At which end the fuse sits. It protects only what lies beyond it, seen from the source: the closer to the battery, the less cable is left without protection.`,
  ],
  [
    say`Fuse ${ANY} kind`,
    say`Make-up of the fuse, by its data sheet. It decides how large a fault it can interrupt, how many volts it bears, and how long it carries a surge before it melts.`,
  ],
  [
    say`Fuse ${ANY} rating`,
    say`Amps printed on the fuse. Over the load so that it does not trip in use, and not over what the cable may carry, or the cable becomes the fuse.`,
  ],
  [
    say`Distance from source to fuse ${ANY}`,
    say`Length of cable between the battery's stud and the fuse. That length has no protection at all; codes give a greatest length for it, a few hundred millimetres unless it is sheathed.`,
    'along',
  ],
  [
    say`Cable ahead of fuse ${ANY}`,
    say`How the cable between battery and fuse is kept: bare in the open, sheathed, in conduit. The better it is kept, the longer many codes let it be.`,
  ],
  [
    say`Curve of fuse ${ANY}`,
    say`Multiples of the rating and the seconds after which the fuse has surely interrupted, from its data sheet. With it, a surge and a fault far out on the cable can be judged.`,
  ],
  [
    say`Melts not before, fuse ${ANY}`,
    say`The other edge of the curve: the least seconds that the fuse carries each multiple of its rating. It decides whether a starting motor trips it.`,
  ],
  [
    say`Reason for accepting fuse ${ANY}`,
    say`Why a fuse that protects from short circuits only, and not from overload, may stay here. Your reason, name and day are kept with the cable and printed with its record.`,
  ],
  [
    say`Tag`,
    say`The short name on the cable's label at both ends, as on your plan. Two cables with one tag cannot be told apart in the log.`,
  ],
  [
    say`Jacket`,
    say`Colour of the cable itself: red for positive; black or yellow for negative, by the code you work to.`,
  ],
];
