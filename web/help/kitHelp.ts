import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the fields of the kit, the log, and what is set for a whole page. */
export const KIT_HELP: readonly HelpEntry[] = [
  [
    say`Lost per cut`,
    say`Length lost with every cut and the squaring of its end. It is counted at every cut of the plan; left out, the last piece of a spool is too short.`,
  ],
  [
    say`Trimmed off a new end`,
    say`Length cut off the front of a spool before the first piece, since its end is dirty, crushed or was dangling. It counts once for each spool.`,
  ],
  [
    say`Scrap if shorter than`,
    say`Offcuts shorter than this are thrown away and not kept. Longer ones go back on the shelf, and later jobs cut from them first.`,
  ],
  [
    say`Name of the spool ${ANY}`,
    say`Your name for this spool or offcut, as written on its tag. The cutting plan says by it where each piece is cut from.`,
  ],
  [
    say`Left on ${ANY}`,
    say`Length that is left on it: weigh the spool, or measure. A spool that holds less than is written here leaves the last cable of the plan unmade.`,
    'along',
  ],
  [
    say`Customer`,
    say`The customer’s name and address, as it appears at the head of the quotation. It stays in this job and goes nowhere by itself.`,
  ],
  [
    say`Margin`,
    say`What you add to materials and work for risk, tools and a living. It is in every price of the quotation and is not shown apart there.`,
  ],
  [
    say`Tax`,
    say`The sales tax of your country on what you sell, in per cent; 0 where you ask none. It is shown apart, after the sum.`,
  ],
  [
    say`Valid for, days`,
    say`For so many days you keep to the quotation. Copper is dear one month and cheap the next: set it to what your supplier keeps to.`,
  ],
  [
    say`Cut from`,
    say`The spool or offcut that this cable is cut from. What is cut comes off it, so that the next plan counts on what is really left.`,
  ],
  [
    say`Count of ${ANY}`,
    say`How much of it is on the shelf now, by your count. Making takes off it; a count entered again keeps the one before. Empty where nobody counts it: then nothing is bought by itself.`,
  ],
  [
    say`Keep at least of ${ANY}`,
    say`With less than this left after the job, the shopping list asks for more. Set it to what you use until the next delivery.`,
  ],
  [
    say`Price of ${ANY}, ${ANY}`,
    say`What you paid for one, for a metre or for 100 g, as the field says. Without it the kit is worth more than its sum says.`,
  ],
  [
    say`${ANY} already started`,
    say`Tick it where the spool has been cut from. Its price is then not counted again, and it is used up before a new one is started.`,
  ],
  [say`Who is cutting`, say`The name of whoever cuts. It is kept with each piece that is ticked as cut.`],
  [
    say`Price ready made, all`,
    say`What the same cables cost ready made, delivered: ask for the whole list. It is compared with material, time and the share of tools.`,
  ],
  [
    say`Cost of a tool to buy`,
    say`What the tool costs that this job needs and the shop lacks; 0 where you own or borrow it.`,
  ],
  [
    say`Share of the tool, %`,
    say`How much of the tool's price this job bears. All of it if it is never used again; less if other jobs follow.`,
  ],
  [
    say`Minutes a cable`,
    say`Time for one cable from cutting to label. After a few cables, the bench's own clock knows it better than a guess.`,
  ],
  [
    say`Labour per hour`,
    say`What an hour of yours costs, or what you would otherwise earn with it. 0 where it is done for the pleasure.`,
  ],
  [
    say`Labels`,
    say`Size of the sheet of labels in your printer. Print one on plain paper first and hold it against the sheet.`,
  ],
  [
    say`Lengths without a unit are in`,
    say`Unit of lengths in the file that have none written behind them. A look at the first rows shows if it was the right one.`,
  ],
  [
    say`Paper`,
    say`Size of paper in your printer. Everything that is printed is laid out for it; cards and labels have sizes of their own.`,
  ],
  [
    say`with ${ANY}`,
    say`Tick it to cut these cables together with another job from the same spools. More pieces on one spool leave less scrap.`,
  ],
  [
    say`Air temperature`,
    say`Hottest air for all the cables that are ticked. It is set on each of them, in one step that can be undone.`,
  ],
  [
    say`Corrected by`,
    say`The name of whoever corrects the entry. The old entry stays, struck through, with this name and the day.`,
  ],
  [say`What`, say`What is wrong with the entry. It is kept with the correction; nothing is erased.`],
  [
    say`Measure`,
    say`Which reading is drawn over time. A slow drift shows a die that wears long before a single crimp fails.`,
  ],
  [
    say`Made or measured by`,
    say`Only crimps of one person. Two people with the same tool should lie on the same band; if they do not, it is the hand and not the die.`,
  ],
  [
    say`By`,
    say`What turned out to be wrong: a lot of material, a die that is worn, a tool, an instrument out of calibration, or the work of some days.`,
  ],
  [
    say`Which one`,
    say`The one that is suspected. A die or tool lists every cable it closes on, chosen or proposed: one too many is better than one too few.`,
  ],
  [
    say`From the day`,
    say`First day that is suspected, as year-month-day: that of the last good check of the die or instrument. Empty, everything before counts too.`,
  ],
  [
    say`To the day`,
    say`Last day that is suspected, as year-month-day: the day on which the fault was found or repaired. Empty, everything after counts too.`,
  ],
  [
    say`What was done with ${ANY}`,
    say`What was found on this cable and done about it: measured again and sound, end remade, taken out of service. Whoever closes it has inspected it.`,
  ],
  [
    say`Cause of the nonconformance`,
    say`What went wrong and how it was found, in a sentence an inspector understands. It stands on every cable of the list until it is closed there.`,
  ],
  [
    say`Found by`,
    say`The name of whoever opens or closes the nonconformance. It is kept with the day, and printed on the list.`,
  ],
  [
    say`Who is training`,
    say`The name under which your answers are kept, so that you see whether you get better. It is no part of any record of a cable.`,
  ],
  [
    say`Level`,
    say`How hard the drawn cables are to judge. Begin with clear faults; later ones lie near the limit, where a second measurement is the right answer.`,
  ],
  [
    say`Round number`,
    say`Each number gives the same round to everybody, so that two people can compare what they saw. The next one is proposed.`,
  ],
  [
    say`Money`,
    say`The sign or letters of your money, as they appear before or behind a figure on your bills. Nothing is converted: prices stay the numbers that you gave.`,
  ],
];
