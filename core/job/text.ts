import * as z from 'zod';
import { say } from '../words/say.ts';

/** Text a person writes, of bounded length. */
export const text = (longest = 200) => z.string().max(longest);
export const name = text(80).min(1);
export const id = z.string().regex(/^[\w.-]{1,60}$/, say`must be letters, digits, dots and dashes`);
/** A moment, as ISO 8601 in UTC. */
export const moment = z.iso.datetime();
/** A day, ISO 8601. */
export const day = z.iso.date();
/** A length, mm. */
export const mm = (least = 0, most = 1e6) => z.number().min(least).max(most);
