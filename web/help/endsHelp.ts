import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of Gauge, Ends and Cut: conductor, lugs, studs, sleeves, joins and lengths. */
export const ENDS_HELP: readonly HelpEntry[] = [
  [
    say`Cable kind`,
    say`Construction of the cable as bought: plain or tinned, how fine its strands, its jacket and its temperature rating, printed along it. Tinned lasts where salt and damp are.`,
  ],
  [
    say`Side by side`,
    say`Two or more equal cables instead of one too thick to bend or to crimp. They must be the same length and end on the same studs, or one carries more than its share.`,
  ],
  [
    say`One size up`,
    say`House practice to take the next thicker size than the smallest that passes, as room for what is added later.`,
  ],
  [
    say`Smallest hole on the route`,
    say`Clear width of the tightest hole, gland or grommet the finished end must pass. Measure it across, edge to edge. An end that does not pass is crimped in place.`,
    'hole',
  ],
  [
    say`Angle from palm A to palm B`,
    say`How far palm B is turned from palm A, looking along the cable from A. A thick cable does not twist to make up for it: the lug is turned before it is crimped.`,
  ],
  [
    say`End pulled through it`,
    say`Which end goes through the hole. The one that ends in the smaller lug is mostly the easier one; whichever it is, it is pulled bare if it does not pass finished.`,
    'hole',
  ],
  [
    say`end ${ANY} is made in place, not on the bench`,
    say`Tick it where this end is crimped where it will be bolted. Its tool must then fit there, and its steps come after the cable is pulled.`,
  ],
  [
    say`Working space at ${ANY}`,
    say`Free space around this end for the handles of the tool, measured with a rule. A long lever needs most, a hydraulic head least. Tools that do not fit are refused.`,
  ],
  [
    say`a solid floor at ${ANY}`,
    say`Tick it where there is something hard to strike against, a block of steel on concrete or on an engine bed. A hammer tool on a springy floor does not close its crimp.`,
  ],
  [
    say`End ${ANY} goes on`,
    say`What this end is bolted to: a stud, a battery post, or nothing yet. It decides the hole of the lug and the torque.`,
  ],
  [
    say`Post of ${ANY}`,
    say`Shape of the battery post. A taper post takes a clamp, which goes on only when its jaws are wide enough; measure the post across its top.`,
  ],
  [
    say`Pole of ${ANY}`,
    say`Pole of the post this end goes on. The positive taper post is the thicker of the two: a clamp for the one does not hold on the other.`,
    'pole',
  ],
  [
    say`Adapter of ${ANY}`,
    say`A part between post and lug: a clamp with a stud, or a stud that is screwed into the post. It brings one more contact face, which must be clean and tight.`,
  ],
  [
    say`Stud size of ${ANY}`,
    say`Thread of the stud, measured over the thread with a calliper: just under 8 mm is M8, just under 9.5 is 3/8 in. The hole of the lug must be for this size, never much larger.`,
    'hole',
  ],
  [
    say`Stud of ${ANY}`,
    say`Thread of the stud this lug is for. Too small a hole is drilled out by somebody in a hurry; too large a one leaves half of the contact face.`,
    'hole',
  ],
  [
    say`On the stud of ${ANY}`,
    say`A stud that other cables share. All lugs on it are stacked together: the highest current next to the face, and enough thread left for the nut.`,
  ],
  [
    say`Lug of ${ANY}`,
    say`The lug for this end: barrel for the conductor, hole for the stud. Lugs that fit come first; for those that do not, the reason is given.`,
  ],
  [
    say`Crimps of ${ANY}`,
    say`How many crimps the barrel gets. What its length and the width of the die allow is proposed; one crimp where two fit holds less and is not what the lug was tested with.`,
  ],
  [
    say`Name of the stud at ${ANY}`,
    say`Name of the shared stud, as on your plan: start battery positive, bus bar 3. Every cable with the same stud finds it by this name.`,
  ],
  [
    say`Thread clear of the face at ${ANY}`,
    say`Thread that stands out of the face, measured with a rule. All palms, the washers and the whole nut must fit on it, with a turn or two to spare.`,
  ],
  [
    say`a spring washer under the nut`,
    say`Tick it where a spring washer is used. It sits directly under the nut, never between two palms: current must not pass through steel.`,
  ],
  [
    say`What else is on the stud at ${ANY}`,
    say`Other rings on this stud: the lead of a shunt, a charger, a meter. They take thread, and thin ones with little current go outermost.`,
  ],
  [
    say`${ANY}, amps`,
    say`The most this ring carries. The order on the stud follows it: the highest current next to the face, so that it passes the fewest contact faces.`,
  ],
  [
    say`${ANY}, thickness`,
    say`Thickness of this ring's palm, measured with a calliper. It counts towards the thread that the stack needs.`,
  ],
  [
    say`First support from lug ${ANY}`,
    say`Length of cable between the lug and the first clip or saddle. Far away, the cable works at the mouth of the lug with every movement, worst where solder makes the strands stiff.`,
    'along',
  ],
  [
    say`moves there, ${ANY}`,
    say`Tick it where the cable is bent in use, as at a drawer, a hatch or a tiller. Soldered strands break at their stiff edge, and a sleeve wears: the advice changes.`,
  ],
  [
    say`vibration there, ${ANY}`,
    say`Tick it on an engine, a trailer or a fast boat. Vibration calls for a crimp rather than solder, for a near support and for a nut that cannot come loose.`,
  ],
  [
    say`Strands cut at ${ANY}`,
    say`How many strands were cut or nicked while stripping this end. Each is copper that does not carry; beyond a few per cent, strip again.`,
  ],
  [
    say`Strands counted at ${ANY}`,
    say`Strands of the conductor, counted or by its sheet. It gives the share that was cut; if you leave it empty it is calculated from the class of strand.`,
  ],
  [
    say`Other copper in barrel ${ANY}, mm²`,
    say`Cross-section of a second conductor in the same barrel, or of folded strands that fill it. The barrel must be filled by all of it together, or the crimp has air.`,
  ],
  [
    say`strands of ${ANY} were tinned first`,
    say`Tick it where solder was run into the strands before the crimp. Solder creeps under pressure: the crimp loosens over months. Cut it back and crimp plain strands.`,
  ],
  [
    say`end ${ANY} is a get-you-home repair`,
    say`Tick it for a clamp or a field repair that must be replaced. It gets a date, and from that day the cable is due on the start page and in the log.`,
  ],
  [
    say`Fitted, ${ANY}`,
    say`The day on which the temporary end was put on, as year-month-day. From it, a fortnight is proposed as the longest time it stays.`,
  ],
  [
    say`Replace by, ${ANY}`,
    say`The day by which the temporary end is replaced by a crimped one. After it the cable counts as failed, on the start page, in the log and on its card.`,
  ],
  [
    say`The sleeve of ${ANY} goes on`,
    say`Whether the sleeve must go on the cable before the lug is crimped, or fits over the lug afterwards. A sleeve forgotten beforehand means cutting the lug off again.`,
  ],
  [
    say`Band of ${ANY}`,
    say`Colour of the band at this end. It tells the pole where the cable itself is black, or the cable's number in a bundle.`,
    'pole',
  ],
  [
    say`From stud A, along the cable`,
    say`Where the join lies, measured along the cable from stud A. Keep it out of bends and off supports, and where a hand and the tool reach it.`,
    'along',
  ],
  [
    say`Conductor of the branch, mm²`,
    say`Cross-section of the branch that leaves here. A thinner branch needs protection of its own: the fuse of the thick cable does not protect the thin one.`,
  ],
  [
    say`Connector`,
    say`The butt or branch connector for this join. It must be for both conductors, and its barrels are judged for fill and die like those of a lug.`,
  ],
  [
    say`Die of the join`,
    say`The die that closes this connector, with its verdict. A connector's wall differs from that of a lug of the same size, so its die may differ too.`,
    'flats',
  ],
  [
    say`Branch sealed by`,
    say`A wide adhesive sleeve that is nipped between the cables while it is hot, or a moulded part with a leg for each of them. The part goes on before the connector, and the kit gets it.`,
  ],
  [
    say`End cap: it waits unconnected`,
    say`For an end that lies ready and is not bolted on yet: a cap is shrunk over it, and the kit gets it. It keeps water out; it is no cover for a live end, so take the fuse out as well.`,
  ],
  [
    say`Sleeve of the join`,
    say`Sleeve over the join. It must cover the connector and enough jacket on both sides, be on the cable before the first crimp, and seal where it is damp.`,
  ],
  [
    say`End already bolted on`,
    say`Which end is already crimped. The cut is then measured from that end, with the real lug, instead of from the drawing.`,
  ],
  [
    say`The mark is at`,
    say`Where the mark on the jacket is, seen along the cable. It gives the turn of the second palm against the first, before the die closes.`,
  ],
];
