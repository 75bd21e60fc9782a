import { expose } from 'comlink';
import { dutyCycle } from '../../core/sizing/dutyCycle.ts';

/** Follows duty cycles away from the page, so that typing is never held up. */
const worker = { dutyCycle };
export type DutyWorker = typeof worker;
expose(worker);
