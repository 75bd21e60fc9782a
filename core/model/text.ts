import * as z from 'zod/mini';
import { say } from '../words/say.ts';

/** Text a person writes, of bounded length. */
export const text = (longest = 200) => z.string().check(z.maxLength(longest));
/** Letters of a tag, a title, the name of a person. */
export const LONGEST_NAME = 80;
export const name = text(LONGEST_NAME).check(z.minLength(1));
/** Letters of an id. */
export const LONGEST_ID = 60;
export const id = z.string().check(z.regex(/^[\w.-]{1,60}$/, say`must be letters, digits, dots and dashes`));
/** A moment, as ISO 8601 in UTC. */
export const moment = z.iso.datetime();
/** A day, ISO 8601. */
export const day = z.iso.date();
/** A length, mm. */
export const mm = (least = 0, most = 1e6) => z.number().check(z.gte(least), z.lte(most));
