import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of Make, Prove and Fit: readings, and who took them. */
export const PROVE_HELP: readonly HelpEntry[] = [
  [
    say`Across flats of the sample`,
    say`The crimp over two opposite flats, with a calliper, in three places. It tells how far the die really closed.`,
    'flats',
  ],
  [
    say`Pull, one minute`,
    say`Hold the cable in line with the lug and hang the weight or pull by a scale for one minute. Whoever pulls stands beside, never in line. Only a new joint on a sample may be pulled to failure.`,
    'pull',
  ],
  [
    say`Test voltage`,
    say`Volts of the insulation tester: 500 V is usual for cables up to 60 V systems. Both ends are off everything, and nobody touches them.`,
  ],
  [
    say`Copper temperature`,
    say`Temperature of the copper while it was measured: let it lie in the room for an hour. Each degree is 0.4 % of resistance.`,
  ],
  [
    say`Plain stretch`,
    say`A length of the same cable without a joint in it, to compare the joint with. The longer, the surer.`,
  ],
  [
    say`Who is working`,
    say`The name of whoever makes this cable. It stands in the record beside every step; trends and recalls can be filtered by it.`,
  ],
  [
    say`Who is measuring`,
    say`The name of whoever takes these readings. Better not the one who made the cable: a second pair of eyes sees what the first overlooked.`,
  ],
  [
    say`Who is fitting`,
    say`The name of whoever bolts the cable in and tightens it. It stands beside the torque in the record.`,
  ],
  [
    say`Measuring`,
    say`Which method this reading is taken with. Each sees other faults: a meter sees contact, a pull sees hold, a sawn sample sees air. What none of them sees is said beside it.`,
  ],
  [
    say`Pulled on`,
    say`What was pulled: a sample made the same way, to its end; or this cable, gently and within its limit. A cable that was pulled to failure is never fitted.`,
    'pull',
  ],
  [
    say`it held`,
    say`Tick it where the joint stood the whole minute with no movement at the mouth. Anything that slipped did not hold, even if it stayed in.`,
    'pull',
  ],
  [
    say`Against`,
    say`What the reading is compared with: the other lug, the jacket, or another conductor. The difference counts: the air of the day is in both figures.`,
  ],
  [
    say`Load`,
    say`Amps that really flow during this reading, by a clamp meter or shunt. Millivolts and temperatures without the current say nothing; at a higher load a poor joint shows more clearly.`,
  ],
  [
    say`Distance past the barrel`,
    say`Distance along the cable from the mouth of the lug to where the probe pierces or touches it. The drop of that length of cable is taken off the reading.`,
    'along',
  ],
  [
    say`Beyond the mouths`,
    say`Distance along the cable from the mouth of each lug to where the probe touches. The drop of that length of cable is taken off the reading.`,
    'along',
  ],
  [
    say`Between the probes`,
    say`Length of cable between the two probes. The expected drop follows from it; the longer it is, the less the resolution of the meter matters.`,
    'along',
  ],
  [
    say`Along the cable`,
    say`Length of cable between the two probes, away from both joints. The expected drop follows from it.`,
    'along',
  ],
  [
    say`Shoulder to probe`,
    say`Millivolts or milliohms from the shoulder of the lug, past the crimp, to the probe on the cable. Touch bare metal: on an oxide skin the meter reads anything.`,
  ],
  [
    say`mV over that length`,
    say`Millivolts between the two probes while the load flows. Press the tips on bare copper, and hold them until the figure stands still.`,
  ],
  [
    say`Resistance, palm to palm`,
    say`Milliohms of the whole cable from palm to palm, by a four-wire meter. The leads of a two-wire meter have more than the cable: it cannot tell.`,
  ],
  [
    say`Resistance of the plain stretch`,
    say`Milliohms of the plain stretch, by the same meter and the same current as the crimp. Only the comparison of the two counts.`,
  ],
  [
    say`Insulation`,
    say`Megohms from conductor to what the test is against, after one minute. New and dry it is beyond the range of most testers; a low figure means damp, dirt or a cut jacket.`,
  ],
  [
    say`At ${ANY} s`,
    say`Megohms after these seconds. Sound insulation rises with time, damp insulation stands still: the relation between the two tells which it is.`,
  ],
  [
    say`Instrument name`,
    say`What the instrument is called in your shop, as on its sticker. It is kept in the tool case, and stands in the record beside each reading taken with it.`,
  ],
  [
    say`Resolution, ${ANY}`,
    say`The smallest step of its display on the range in use. A check that needs a finer one cannot be met with this instrument, whatever it shows.`,
  ],
  [
    say`Lot of ${ANY}`,
    say`The lot or batch number on the bag or drum. A scanner types it like a keyboard. If a lot turns out bad, every cable made of it is found by it.`,
  ],
  [
    say`Crimp`,
    say`Which crimp this figure is of: they are counted from the mouth of the barrel, and the drawing shows it. One crimp measured twice is still one crimp.`,
    'flats',
  ],
  [
    say`Pair of flats`,
    say`A hexagon has three pairs of flats. Start anywhere and go round in one direction: a die that closed askew shows as three figures that differ.`,
    'flats',
  ],
  [
    say`Across flats`,
    say`The crimp over two opposite flats, with a calliper, at the middle of the crimp. It tells how far the die really closed.`,
    'flats',
  ],
  [
    say`Across flats, towards ${ANY}`,
    say`This crimp of the connector over two opposite flats, with a calliper. Both sides of a join are measured, each by itself.`,
    'flats',
  ],
  [
    say`Flash (ears) before filing`,
    say`How far the flash stands out at the parting line of the die, before it is filed. More than a little means a die too small for this lug, or not closed square.`,
    'ears',
  ],
  [
    say`Ears, towards ${ANY}`,
    say`Flash at the parting line of this crimp, before it is filed. More than a little means a die too small, or halves that do not meet.`,
    'ears',
  ],
  [
    say`Ears before filing`,
    say`How far the flash stands out at the parting line, before it is filed. Filed flash says nothing any more: measure first.`,
    'ears',
  ],
  [
    say`Air in the outline`,
    say`Share of the crimp's outline that is not metal, from a sawn and polished sample. A few per cent are usual; the section page works it out from a photograph.`,
  ],
  [
    say`Minutes under load`,
    say`How long the load has been on. Lugs heat slowly: under half an hour the reading is too early, and a poor joint looks sound.`,
  ],
  [
    say`Matte tape or paint is on the bright metal`,
    say`Tick it where matte tape or paint covers the spot. Bright metal mirrors its surroundings: an infrared thermometer then reads far too low, and the joint looks cool.`,
  ],
  [
    say`matte tape or paint on the bright metal`,
    say`Tick it where matte tape or paint covers the spot. Bright metal mirrors its surroundings: an infrared thermometer then reads far too low, and the joint looks cool.`,
  ],
  [
    say`Lug, ten minutes before`,
    say`Temperature of the lug ten minutes earlier under the same load. If the two differ by more than a little it is still heating, and the reading is too early.`,
  ],
  [
    say`Lug, now`,
    say`Temperature of the lug under load, once it no longer rises. A sound joint is no warmer than the cable beside it.`,
  ],
  [
    say`Jacket, now`,
    say`Temperature of the jacket half-way along the cable, at the same moment. It is what the lug is compared with.`,
  ],
  [
    say`The other lug, now`,
    say`Temperature of the other lug of this cable, at the same moment. Two lugs with the same current should be about equally warm.`,
  ],
  [
    say`Lug ${ANY}, ten minutes before`,
    say`Temperature of this lug ten minutes earlier, under the same load. If the two differ by more than a little it is still heating.`,
  ],
  [
    say`Lug ${ANY}, now`,
    say`Temperature of this lug under load, once it no longer rises. A sound joint is no warmer than the cable beside it.`,
  ],
  [
    say`Jacket, mid cable`,
    say`Temperature of the jacket half-way along the cable, under the same load. Both lugs are compared with it.`,
  ],
  [
    say`Palm to stud ${ANY}`,
    say`Millivolts from the palm to the stud itself under load. A clean, tight face has a few; a painted or loose one has many times that, and gets hot.`,
  ],
  [
    say`Lug ${ANY} to cable`,
    say`Millivolts from the palm of this lug to the probe on the cable under load. The crimp should add no more than the same length of plain cable does.`,
  ],
  [
    say`Tightened to, ${ANY}`,
    say`Torque at which the wrench let go on this nut, by a torque wrench in the middle of its range. Too little gets hot, too much shears the stud or creeps in the lead of a post.`,
    'terminal',
  ],
  [
    say`Pull through the join`,
    say`Force the join stood for one minute, pulled from cable to cable. Pull a sample that was made the same way, and stand beside it, never in line.`,
    'pull',
  ],
  [
    say`It should read`,
    say`What the reading should have been. Give it only where the figure was written down wrong, with the reason: the first figure stays in the record, struck through.`,
  ],
  [
    say`Why was it wrong?`,
    say`How the wrong figure came about: misread, wrong unit, wrong cable. It is kept with the correction, and nothing is erased.`,
  ],
  [
    say`How did it go wrong?`,
    say`What happened, in a few words. It is kept with the reading that it takes back, and nothing is erased.`,
  ],
  [
    say`What was reworked`,
    say`What was made again since this reading: the lug cut off, the crimp repeated. Readings of before then count for the old end only.`,
  ],
  [
    say`Who answers for it`,
    say`The name of whoever decides that this check may be left out. It is printed with the record, beside the reason.`,
  ],
  [
    say`Why it can be waived`,
    say`The reason for leaving this check out, such as a sample of the same batch that was pulled. Whoever reads the record judges the reason, not the tick.`,
  ],
  [
    say`Or in your own words`,
    say`What went wrong, if none of the buttons has it. It is kept in the story of this cable, and counts in what the shop learns about its waste.`,
  ],
  [
    say`Inspected today: what was found`,
    say`What you see on the fitted cable: colour of the lug, heat marks, looseness, chafe, green copper. Nothing found is also a finding: write that.`,
  ],
  [
    say`Condition`,
    say`What becomes of the cable after the inspection: it stays in service, is tightened, or must be replaced. The log counts days until the next inspection from today.`,
  ],
];
