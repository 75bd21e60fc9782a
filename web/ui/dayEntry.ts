import { day } from '../../core/model/text.ts';
import { say } from '../../core/words/say.ts';

/** What is wrong with a day that may be left out, as it was typed; empty where it can be taken. */
export const notADay = (text: string): string =>
  text === '' || day.safeParse(text).success ? '' : say`Write the day as 2027-03-31, or leave it empty.`;
