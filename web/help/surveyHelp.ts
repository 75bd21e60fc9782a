import { say } from '../../core/words/say.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';

/** Help for the survey of an old installation. */
export const SURVEY_HELP: readonly HelpEntry[] = [
  [
    say`Old tag`,
    say`What you call this old cable: what is written on it, or a name of yours. The cable made in its place keeps it where it is free.`,
  ],
  [
    say`Polarity of the old cable`,
    say`Follow it to the battery: colours of an old installation are often wrong. A link joins two batteries.`,
  ],
  [
    say`Size, where it can be read`,
    say`As printed on its jacket. Leave it empty where it cannot be read: strands and diameter can be measured once it is out, and an old size is no proof that it was right.`,
  ],
  [
    say`Length of the old cable`,
    say`Stud to stud along its route, with a tape or a string. The new cable starts from it.`,
  ],
  [
    say`${ANY} bolted to`,
    say`The post, stud or bar at this end, as you would call it. The new cable ends there too.`,
  ],
  [say`Stud of end ${ANY}`, say`Measure the stud, not the hole of the old lug: that may be the wrong one.`],
  [
    say`end ${ANY} inspected`,
    say`Tick it once you have inspected this end, also where nothing is wrong: what nobody inspected is not known to be sound.`,
  ],
  [
    say`Note on the old cable`,
    say`What the marks do not say: where it rubs, what was warm, what the owner told you.`,
  ],
];
