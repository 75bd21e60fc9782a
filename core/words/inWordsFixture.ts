import { told } from './message.ts';

/** What is computed, with every message of it told: for tests that look at the words. */
export const inWords = (value: unknown): unknown => JSON.parse(JSON.stringify(value, told));
