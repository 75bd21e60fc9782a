import { say } from '../../core/words/say.ts';

/** What a field is, how to find it out, what follows where it is wrong; and a drawing where that helps. */
export interface Help {
  readonly text: string;
  readonly picture?: PictureName;
}
export type PictureName =
  'along' | 'pole' | 'drop' | 'return' | 'flats' | 'ears' | 'pull' | 'terminal' | 'duty' | 'hole';

const help = (text: string, picture?: PictureName): Help => (picture ? { text, picture } : { text });

/** Help by the label of its field, each in the reader's language: the language stays while the page does. */
export const HELP: ReadonlyMap<string, Help> = new Map([
  // Run
  [
    say`From, end A`,
    help(
      say`Where end A is bolted, by the name on your plan or on the part. Ends on the same place share its stud and their lugs are stacked together. A wrong name puts a lug on a stud it does not fit.`,
    ),
  ],
  [
    say`To, end B`,
    help(
      say`Where end B is bolted. Use the same name for the same place on every cable, so that cables on one stud find each other.`,
    ),
  ],
  [
    say`Polarity`,
    help(
      say`Positive, negative, or a link between two batteries. It decides the colour of the jacket, the order of joining and what is covered. Check with a meter at the battery, never by the colour alone: a cable labelled with the wrong pole shorts a bank.`,
      'pole',
    ),
  ],
  [
    say`System`,
    help(
      say`Nominal volts of the bank: 12, 24 or 48. Read it off the batteries and how they are joined, in series or parallel. At half the volts the same power draws twice the amps, and the size follows the amps.`,
    ),
  ],
  [
    say`Load said in`,
    help(
      say`Amps where the plate says amps, as on a panel, winch or thruster; watts for an inverter, whose amps rise as the battery falls.`,
    ),
  ],
  [
    say`Continuous`,
    help(
      say`Amps that flow for as long as the load runs. Take them from the plate or its sheet, or clamp a meter round the cable under load. Too low, and the cable runs hotter than was reckoned; what flows only for moments goes under surge.`,
    ),
  ],
  [
    say`Power given out`,
    help(
      say`Watts that the inverter delivers, as on its plate. What it draws from the battery is more, by its efficiency.`,
    ),
  ],
  [
    say`Allowed drop`,
    help(
      say`Share of the volts that may be lost out and back, at the load. 3 % is usual for what must work: navigation, bilge pump, inverter; 10 % for what merely runs slower or dimmer. Allow too much and electronics cut out while the battery is full.`,
      'drop',
    ),
  ],
  [
    say`Stud to stud, as it lies`,
    help(
      say`Length along the route, from the middle of one stud to the middle of the other, round every bend. Lay a cord or an old cable along it and measure that. Too short is scrap; too long costs drop.`,
      'along',
    ),
  ],
  [
    say`Efficiency`,
    help(
      say`What the inverter gives out of what it takes, from its sheet: 85 to 93 % at full load is usual. Lower means more amps.`,
    ),
  ],
  [
    say`Lowest battery`,
    help(
      say`Volts of the battery when it is as low as you let it go, under load. A load in watts draws most there, so that is what the cable is sized for.`,
    ),
  ],
  [
    say`Load cuts out at`,
    help(
      say`Volts at which the load switches itself off, from its sheet. With the drop reckoned in, it tells whether the load stops before the battery is empty.`,
    ),
  ],
  [
    say`Hours a year`,
    help(
      say`For how long the load really runs in a year. It changes no size by itself: it only says what the heat lost in the cable costs.`,
    ),
  ],
  [
    say`A surge or duty cycle on top`,
    help(
      say`Steps of current that are higher than what is held: a motor starting, a windlass hauling for two minutes and resting for ten. The copper's heating is followed step by step. Left out, a thruster cable looks far too thick or burns.`,
      'duty',
    ),
  ],
  [
    say`Service loop`,
    help(
      say`Slack that is kept so that a lug can be cut off and made again once: two or three times the strip length. It is cut and weighed with the cable.`,
    ),
  ],
  [
    say`Comes back by`,
    help(
      say`The path of the return current. Its own cable of the same size, the rest of its circuit where other cables are in the job, the chassis, or none for a link. A forgotten return halves the drop on paper and nowhere else.`,
      'return',
    ),
  ],
  [
    say`Route, legs and bends`,
    help(
      say`Straight stretches and bends in order, from end A: 850, 90° r80, 1240. The length and the tightest bend come from it. Measure along the middle of the cable.`,
    ),
  ],
  [
    say`Air, at its hottest`,
    help(
      say`Air where the cable is warmest, on the hottest day and with the engine running: hang a thermometer there. An engine space counts as 60 °C whatever is typed. Five degrees too low is one size too thin near the limit.`,
    ),
  ],
  [
    say`It lies`,
    help(
      say`How the cable sheds its heat: free in air, on a wall, against its return, in conduit, in a bundle. Shut in, the same copper may carry as little as half.`,
    ),
  ],
  [
    say`Bolted to what stands`,
    help(
      say`Temperature that the terminal, fuse or switch may reach where the lug is bolted, from its sheet: often 75 or 90 °C. The lowest of cable and terminal governs. Too high a figure and the cable cooks what it is bolted to.`,
      'terminal',
    ),
  ],
  [
    say`Charged to at most`,
    help(
      say`Highest volts while charging, from the charger or the chemistry: it decides whether fuse and cable are rated for enough.`,
    ),
  ],
  [
    say`Coldest it must start in`,
    help(
      say`Coldest morning on which the engine must start. Cold oil asks more and a cold battery gives less: both are reckoned.`,
    ),
  ],
  [
    say`Both ends can feed a fault`,
    help(
      say`Tick it where there is a battery or charger at each end: then a short is fed from both, and each end needs its own protection.`,
    ),
  ],
  [
    say`Tag`,
    help(
      say`The short name on the cable's label at both ends, as on your plan. Two cables with one tag cannot be told apart in the log.`,
    ),
  ],
  [
    say`Jacket`,
    help(
      say`Colour of the cable itself: red for positive; black or yellow for negative, by the code you work to.`,
    ),
  ],
  // Gauge and ends
  [
    say`Cable kind`,
    help(
      say`Construction of the cable as bought: plain or tinned, how fine its strands, its jacket and its temperature rating, printed along it. Tinned lasts where salt and damp are.`,
    ),
  ],
  [
    say`Side by side`,
    help(
      say`Two or more equal cables instead of one too thick to bend or to crimp. They must be the same length and end on the same studs, or one carries more than its share.`,
    ),
  ],
  [
    say`One size up`,
    help(
      say`House practice to take the next thicker size than the smallest that passes, as room for what is added later.`,
    ),
  ],
  [
    say`Smallest hole on the way`,
    help(
      say`Clear width of the tightest hole, gland or grommet the finished end must pass. Measure it across, edge to edge. An end that does not pass is crimped in place.`,
      'hole',
    ),
  ],
  [
    say`Angle from palm A to palm B`,
    help(
      say`How far palm B is turned from palm A, looking along the cable from A. A thick cable does not twist to make up for it: the lug is turned before it is crimped.`,
    ),
  ],
  // Prove
  [
    say`Across flats of the sample`,
    help(
      say`The crimp over two opposite flats, with a calliper, in three places. It tells how far the die really closed.`,
      'flats',
    ),
  ],
  [
    say`Pull, one minute`,
    help(
      say`Hold the cable in line with the lug and hang the weight or pull by a scale for one minute. Whoever pulls stands beside, never in line. Only a new joint on a sample may be pulled to failure.`,
      'pull',
    ),
  ],
  [
    say`Test voltage`,
    help(
      say`Volts of the insulation tester: 500 V is usual for cables up to 60 V systems. Both ends are off everything, and nobody touches them.`,
    ),
  ],
  [
    say`Copper is at`,
    help(
      say`Temperature of the copper while it was measured: let it lie in the room for an hour. Each degree is 0.4 % of resistance.`,
    ),
  ],
  [
    say`Plain stretch`,
    help(
      say`A length of the same cable without a joint in it, to compare the joint with. The longer, the surer.`,
    ),
  ],
]);
