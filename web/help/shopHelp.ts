import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of the tool case, the practice of the house, and the section. */
export const SHOP_HELP: readonly HelpEntry[] = [
  [
    say`Name in the shop`,
    say`Your own name for it, as you say it in the shop. It stands in steps, offers and records; change it at any time.`,
  ],
  [
    say`Kind`,
    say`Its kind decides how it is used: which steps it gets, what its readings can tell, how a crimp is known to be complete.`,
  ],
  [
    say`Force of the tool`,
    say`What its ram gives, by its plate: 6 tonnes are about 60 kN, and either may be typed. A die that it cannot close is then not proposed, and one that it may not close is watched. Leave it empty where nobody knows.`,
  ],
  [
    say`Largest cable, mm²`,
    say`The thickest conductor that this tool still closes on, from its sheet or from your own trial. A tool beyond its range stops short and leaves air in the crimp.`,
  ],
  [
    say`Done when`,
    say`What shows that the crimp is complete with this tool: the valve lets go, the handles meet, the dies touch, a stop is reached. Without it nobody can tell half a crimp from a whole one.`,
  ],
  [
    say`Stamp of ${ANY}`,
    say`What is stamped on the die, letter for letter. A stamp is a name and not a size: makers differ, and only the calliper tells what a die closes to.`,
    'flats',
  ],
  [
    say`Across flats of ${ANY}, ${ANY}`,
    say`The closed die over two opposite flats, measured with a calliper or as the across flats of a crimp that was surely complete. It decides which lugs this die is for.`,
    'flats',
  ],
  [
    say`Width of ${ANY}, ${ANY}`,
    say`Width of the die along the barrel, measured with a calliper. How many crimps fit on a barrel follows from it.`,
  ],
  [
    say`The die`,
    say`The die to look up: one of your own, or one in your hand without a mark. Its across flats tells what it is for; a stamp does not.`,
    'flats',
  ],
  [
    say`Across its flats, closed`,
    say`The closed die over two opposite flats, measured with a calliper. Clean it first: copper in a corner is a few tenths.`,
    'flats',
  ],
  [
    say`Width along the barrel`,
    say`Width of the die along the barrel, measured with a calliper. How many crimps fit on a barrel follows from it.`,
  ],
  [
    say`Resolution, ${ANY}`,
    say`The smallest step of its display. A reading that must be judged closer than a few such steps cannot be judged with this instrument, and is not.`,
  ],
  [
    say`Accuracy, % of reading`,
    say`What its sheet says the reading may be off by, as a share of it. With the digits it gives each verdict its interval; left empty, what is usual for its kind is taken.`,
  ],
  [
    say`and digits`,
    say`Digits of the last place that the reading may be off by besides, from the same line of its sheet: ± (0.5 % + 5 digits), for instance.`,
  ],
  [
    say`Calibrated until`,
    say`Last day of its calibration, as year-month-day, from the certificate or your own check. After it readings are kept, and are marked as taken with an instrument out of calibration.`,
  ],
  [
    say`Tool checked until`,
    say`Last day for which the tool’s own check holds: its force by a gauge, its dial, its stops. After it no crimp of its dies is led here until a new day is set. Empty where you keep none.`,
  ],
  [
    say`Connected by serial port`,
    say`Tick it where the instrument sends its readings by cable. They are then taken over as they come, without a slip of the pen; the lines below say how it writes them.`,
  ],
  [
    say`Data format`,
    say`How one line from the instrument is built, with <value> where the figure is and <unit> where the unit is. Take it from its manual, or from a line it sent, and try it below.`,
  ],
  [
    say`Unit, if not given`,
    say`Unit of the figure where the line does not give one. A wrong unit is a thousandfold error that looks like a sound reading.`,
  ],
  [
    say`Query command`,
    say`What is sent to the instrument to ask for a reading, by its manual. Leave it empty where the instrument sends by itself or by a button.`,
  ],
  [
    say`Baud`,
    say`Speed of the serial line, set on the instrument and in its manual. At a wrong speed only strange characters arrive.`,
  ],
  [
    say`Try a line it sent`,
    say`Paste one line of the instrument here: below it stands what would be read. Try one over its range too, so that it is never taken for a figure.`,
  ],
  [
    say`Lug name`,
    say`Your own name for this lug, with its maker's mark if it has one. It stands in offers, kit lists and records.`,
  ],
  [
    say`Made for`,
    say`The conductor the lug is made for, by its stamp or sheet, such as 70 mm² or 2/0. A mark without a unit is not enough: measure the bore.`,
    'hole',
  ],
  [
    say`Cable name`,
    say`Your own name for this kind of cable, as it stands on the drum or the invoice. It stands in the cutting list, the kit and the record.`,
  ],
  [
    say`Strand class`,
    say`How fine its strands are, by its sheet or a look at the cut: coarse ones are as thick as a matchstick, fine ones like a pencil lead, extra fine ones like a hair. Fine strands bend and flex; coarse ones break where they move.`,
  ],
  [
    say`Insulation`,
    say`What its insulation is made of, by its sheet or the print on the jacket. It decides how hot the copper may get in a short, and how the heat gets out.`,
  ],
  [
    say`Insulation rating`,
    say`The temperature that its insulation stands for good, by the print on the jacket or its sheet. Too high a figure lets a cable be taken that is too thin.`,
  ],
  [
    say`Rated voltage`,
    say`What the insulation is rated for, by the print on the jacket. It must be above the charging voltage.`,
  ],
  [
    say`Least bend, in diameters`,
    say`The tightest bend it takes lying still, measured at its middle, in outside diameters: by its sheet, else 6, or 4 for fine welding strands. Where it flexes, more is required automatically.`,
  ],
  [
    say`Outside of ${ANY}`,
    say`Outside diameter over the jacket, by its sheet or measured in two directions. Sleeves, bends, holes and the heat balance follow from it.`,
  ],
  [
    say`Mass a metre of ${ANY}`,
    say`What a metre weighs by its sheet. Where nothing is typed it is worked out from copper and jacket.`,
  ],
  [
    say`Resistance a km of ${ANY}`,
    say`Its resistance at 20 °C by its sheet, as the conductor is, tinned or plain. Where nothing is typed the table of conductors counts. Drop, heat and the limits of every resistance that is measured follow from it.`,
  ],
  [
    say`Strands of ${ANY}`,
    say`How many strands it has by its sheet, or counted. Where nothing is typed they are calculated from their class. What is left of a conductor with strands cut follows from it.`,
  ],
  [
    say`tinned strands`,
    say`Look at a fresh cut: tinned strands are grey like a lug, plain ones red. Tin keeps salt air off the copper many times longer, and carries a little less.`,
  ],
  [
    say`bought in ${ANY}`,
    say`The colours that your supplier has of it. A cable in another colour is pointed out; with all of them ticked nothing is.`,
  ],
  [
    say`Weighed in the air`,
    say`The lug on a small scale, clean and dry. Several alike weighed together and divided by their number tell more.`,
  ],
  [
    say`Weighed hanging in water`,
    say`Stand a glass of water on the table, hang the lug on a thread from the scale so that it is all under water and touches nothing, and shake off the bubbles. Of 100 g it then weighs 11.2 g less if it is copper, and up to 11.9 g less if it is brass.`,
  ],
  [
    say`Resolution of the scale`,
    say`The smallest step of its display. A scale of 0.1 g does not tell copper from brass on a small lug; one of 0.01 g does.`,
  ],
  [
    say`A corner rubbed bare`,
    say`Rub the plating off a corner with a file or emery. Copper is red, brass is yellow. Some brass holds so much copper that it is red too: red alone proves nothing.`,
  ],
  [
    say`one of these cracked in the die`,
    say`Annealed copper flows in the die; brass and hard metal crack along the flats. One that cracked condemns its bag.`,
  ],
  [
    say`Working space`,
    say`What its handles or the hammer need to swing, measured with the tool in hand. An end that is finished in place is offered only tools with room there.`,
  ],
  [
    say`Fits post`,
    say`The kind of tapered post that the clamp is bored for. Try it on: it goes down to the shoulder by hand and bites when it is drawn together.`,
  ],
  [
    say`Pole`,
    say`The positive post is the fatter one: its clamp never grips the other, and the other's does not go on it. Look for the mark, or measure the bore.`,
  ],
  [
    say`Number of cables`,
    say`How many cables the clamp is made to hold. A second cable needs a clamp made for two, never a pile of lugs.`,
  ],
  [
    say`Lid width`,
    say`What the inside of the lid has room for, from hinge to hinge. The letters become as large as fit.`,
  ],
  [
    say`Lid height`,
    say`What the inside of the lid has room for, from the hinge to the catch. A sheet larger than your paper is printed in parts.`,
  ],
  [
    say`Another size of this kind`,
    say`A size that it is also bought in, such as 6 mm², AWG 10 or SAE 4. It gets a usual outside diameter: correct that by its sheet.`,
  ],
  [
    say`For stud`,
    say`The stud that the hole of the palm is for. Measure the hole: it should be a few tenths wider than the thread, no more.`,
    'hole',
  ],
  [
    say`Construction`,
    say`How the lug is made: drawn from tube, cast, sheet rolled up. A casting cracks in a die and is soldered; a rolled seam opens unless it is brazed.`,
  ],
  [
    say`Bore`,
    say`Inside width of the barrel, measured at the mouth with the inner jaws of a calliper. Conductor and bore decide the fill; too wide a bore leaves air in the crimp.`,
    'hole',
  ],
  [
    say`Palm to barrel`,
    say`Angle between the palm and the barrel. An angled palm turns the cable away from the stud, and changes the length and where the sleeve ends.`,
  ],
  [
    say`Metal`,
    say`What the lug is made of. Copper is red when a corner is rubbed bare; brass is yellow, conducts a quarter as well, and cracks in the die.`,
  ],
  [
    say`Plating`,
    say`What covers the lug. Tin keeps salt air off; bare copper is good where it is dry, and is greased where it is not.`,
  ],
  [
    say`Price`,
    say`What one costs you, in your money, with its share of the postage. The kit, the price of a job and make or buy are calculated from it.`,
  ],
  [
    say`Stop of ${ANY}, ${ANY}`,
    say`Where the tool stands when this size is done: its dial, its ring, its handles. The bench shows it instead of the tool’s own mark. Found by a trial: close, saw or pull one, and mark it.`,
  ],
  [
    say`Blows of ${ANY}, ${ANY}`,
    say`About how many blows bring the plunger to that mark on this size, counted on a spare. Many more at the bench, and the hammer is light, the floor gives, or the lug is another.`,
  ],
  [
    say`Supplied in`,
    say`Whether the connector has a jacket of its own: one that seals when it is shrunk, or one with a ring of solder for thin wires. Under a jacket nothing can be measured, so that a pull alone tries its crimps.`,
  ],
  [
    say`Solder in its barrel`,
    say`Solder that it comes with, already in its barrel: weigh one, or see its bag. What else is to be fed, and what would run out, is calculated from it.`,
  ],
  [
    say`Left on the shelf`,
    say`How many you have now: count them. The kit takes from here first and lists the rest to be bought.`,
  ],
  [
    say`sight hole`,
    say`Tick it where the barrel has an inspection hole. Strands must be seen in it before the crimp; in damp places it must be sealed after.`,
  ],
  [
    say`flared mouth`,
    say`Tick it where the mouth of the barrel is widened. Fine strands go in more easily; the flare is not crimped, and the first crimp starts behind it.`,
  ],
  [
    say`hole was drilled out`,
    say`Tick it where the hole was drilled larger than it was made. The palm has lost contact face and strength, and the tin is gone at the edge.`,
    'hole',
  ],
  [
    say`Kind of ${ANY}`,
    say`What it is, as bought. It decides what it may be used for; a kind that is wrong here is wrong in every kit list.`,
  ],
  [
    say`Width of ${ANY} as it comes`,
    say`Inside diameter as bought, before it is shrunk, printed on the sleeve. It must go over the lug or the jacket, whichever is wider.`,
  ],
  [
    say`Width of ${ANY} shrunk`,
    say`Inside diameter when fully shrunk with nothing in it. It must be less than the jacket, or it never grips.`,
  ],
  [
    say`Wall of ${ANY}`,
    say`Thickness of the wall after shrinking. A thick wall with glue seals and stands rubbing; a thin one only marks and covers.`,
  ],
  [
    say`Colour of ${ANY}`,
    say`Colour as it lies on the shelf. Pole and band are matched with it, so a wrong colour here leads to a wrong pole there.`,
    'pole',
  ],
  [
    say`Left of ${ANY}`,
    say`Length left on the shelf: measure it. The kit takes from here first and lists the rest to be bought.`,
  ],
  [
    say`Price a metre of ${ANY}`,
    say`What a metre costs you, in your money. The price of a job, and what a thicker size costs more, are calculated from it.`,
  ],
  [
    say`Check crimp, across flats`,
    say`Crimp a spare lug on a spare piece, then measure it over two opposite flats. Outside its window the die is held back, and the cables made since the last good check are listed.`,
    'flats',
  ],
  [
    say`Check crimp, read with`,
    say`The calliper of the shop that the check crimp was measured with. Its accuracy decides what can be told from the limit; with none named, a usual one is assumed.`,
  ],
  [
    say`Check crimp, pulled with`,
    say`The force that hung on the check crimp for one minute. Under the least force of its size it proves nothing; tick beside it whether it held.`,
  ],
  [
    say`the check crimp held`,
    say`Tick it where the spare piece stood the whole minute with no movement at its mouth. One that slipped holds its die back, whatever its flats say.`,
    'pull',
  ],
  [
    say`Crimped by`,
    say`The name of whoever made and measured this check crimp. It stays with it: a check that nobody answers for frees no die.`,
  ],
  [
    say`Check crimp, air in the section`,
    say`Air between the strands, as a share of the sawn outline: the section lab measures it in a photograph. Much of it says that the die no longer closes.`,
  ],
  [
    say`Trial, across flats`,
    say`The sawn or finished trial crimp over two opposite flats, with a calliper. Later crimps of the same die and lug are compared with it.`,
    'flats',
  ],
  [
    say`Trial, ears`,
    say`Flash of the trial at the parting line, before it is filed. Later crimps of the same die and lug are compared with it.`,
    'ears',
  ],
  [
    say`Trial, pulled with`,
    say`Force that the trial was pulled with for one minute. It may be pulled until something gives: that figure, and what gave, are worth most.`,
    'pull',
  ],
  [
    say`Trial, air in the section`,
    say`Share of the outline that is not metal, in the sawn and polished trial. It may stay empty; with it the die counts as proved for this lug.`,
  ],
  [
    say`Tested by`,
    say`The name of whoever made and measured the trial. A combination of die and lug is trusted on this trial, so somebody stands for it.`,
  ],
  [
    say`Conductor`,
    say`The cable that the lug made of tube is for, such as 70 mm² or 2/0. Bore, wall and palm must all be enough for it.`,
  ],
  [
    say`Outside of the tube`,
    say`Outside diameter of the copper tube, with a calliper. Less twice the wall it is the bore, which the conductor must nearly fill.`,
  ],
  [
    say`Wall of the tube`,
    say`Wall of the tube, measured at a clean cut. Flattened it becomes a palm of twice this thickness, and its copper must be at least that of the cable.`,
  ],
  [
    say`Stud`,
    say`The stud the lug shall go on. The hole is drilled for it, and enough copper must be left on both sides of the hole.`,
    'hole',
  ],
  [
    say`Current margin`,
    say`Share of the allowed current that your shop never uses. 20 % is a common habit for what is loaded all day; every size is then chosen with that in hand.`,
  ],
  [
    say`A fault is named from`,
    say`How sure a hunt must be before it names one part as the fault. Lower names it earlier and is wrong more often; below it, the next measurement is proposed instead.`,
  ],
  [
    say`Bank shares unevenly, watch over ×`,
    say`From how many times the even share the most loaded block of a bank is pointed out. Uneven cables age one battery long before its neighbours.`,
  ],
  [
    say`Bank shares unevenly, fails over ×`,
    say`From how many times the even share the wiring of a bank fails. Equal lengths, or taking the load off at opposite corners, correct it.`,
  ],
  [
    say`Fuse over the load, ×`,
    say`How far the fuse is above the continuous load. 1.25 is usual: less trips on a warm day, more needs a thicker cable to stay protected.`,
  ],
  [
    say`Rating of terminations`,
    say`Terminal rating that is taken where none is given for an end. Take the lowest that you meet: fuses and switches are often rated for less than the cable.`,
    'terminal',
  ],
  [
    say`Gap at the mouth`,
    say`Bare strands left between jacket and mouth, so that you see the conductor is home. None up to two millimetres for a crimp, a little more where solder is fed in.`,
  ],
  [
    say`Sleeve on the jacket, × its diameter`,
    say`How far the sleeve reaches onto the jacket, in times the cable's diameter. More seals and supports better, and uses more sleeve.`,
  ],
  [
    say`Tightened again after, days`,
    say`After how many days in use a nut is tightened once more. Copper and lead settle under pressure in the first weeks; then the torque holds.`,
  ],
  [
    say`Inspected every, months`,
    say`How often a fitted cable is inspected. The log and the start page tell when it is due. Salt, heat and vibration call for shorter times.`,
  ],
  [
    say`Lugs kept to practise on`,
    say`How many lugs of each kind are bought for trials and practice. The first crimp of a new die and lug is never made on the job.`,
  ],
  [
    say`Flame for soldering`,
    say`What heats the lug. It decides how long a lug takes: a heavy lug needs much power for a short time, or the heat runs along the cable into the jacket.`,
  ],
  [
    say`Flame power`,
    say`Power of the flame in watts, by its sheet. Heating times follow from it and from the copper that must become hot.`,
  ],
  [
    say`Solder wire`,
    say`Thickness of your solder wire. The length to feed follows from it and from the room that the strands leave in the barrel.`,
  ],
  [
    say`Flux`,
    say`What cleans the copper while soldering. Rosin stays harmless; acid eats on in the strands for years, out of sight under the sleeve.`,
  ],
  [
    say`Save as`,
    say`Where the result of this section goes: to a cable as proof, or to the tool case as the trial of a die and lug.`,
  ],
  [say`Lug`, say`The lug that was sawn. The result counts for this lug with this die, and for no other.`],
  [
    say`Die`,
    say`The die that closed the sample. The result counts for this die with this lug, and for no other.`,
    'flats',
  ],
  [
    say`Strands of its cable`,
    say`How fine the strands of the sample were. Fine strands fill a barrel otherwise than coarse ones, so the result counts for one of them only.`,
  ],
  [
    say`Across flats of the crimp`,
    say`The sample over two opposite flats, with a calliper, before it is sawn. It gives the photograph its scale.`,
    'flats',
  ],
  [say`Sawn by`, say`The name of whoever sawed and photographed the sample. It stands with the result.`],
  [
    say`Picture`,
    say`Which photograph is shown. A second one, of the same section polished again or from the other side, shows how far the result may be trusted.`,
  ],
  [
    say`Measured with`,
    say`The instrument that this reading is taken with. Its resolution and calibration are kept with the figure; “typed” is kept as typed and proves less.`,
  ],
  [
    say`Trouble`,
    say`A fault of the simulated instrument, to see what happens to readings when a lead falls off or a battery is low. Readings stay marked as simulated.`,
  ],
  [
    say`Inch or metric`,
    say`Which sizes your lugs and dies are made for. The tool case is filled with sets of that kind; you can have both later.`,
  ],
  [
    say`Conductor before it`,
    say`How the cable between battery and fuse is kept: bare in the open, sheathed, in conduit. The better it is kept, the longer many codes let it be.`,
  ],
];
