import { shallowRef } from 'vue';

/** Something that went wrong where nobody caught it: where, and what the machine says of it. */
export interface Fault {
  readonly where: string;
  readonly message: string;
  readonly stack: string;
  readonly at: string;
}

const MOST_KEPT = 20;
const LONGEST = 4000;

/** What went wrong since the page was opened, the latest first; it goes nowhere unless a person copies it. */
export const faults = shallowRef<readonly Fault[]>([]);
/** Code of the application could not be fetched: another version is in its place, or the server is gone. */
export const isCodeMissing = shallowRef(false);

const isOfFetching = (message: string) =>
  /dynamically imported module|Importing a module script failed|error loading dynamically|preload CSS|preloadError/i.test(
    message,
  );

/** The same at the same place is one fault, however often it is tried again, and whatever else failed in between. */
const isKnown = ({ where, stack }: Fault): boolean =>
  stack !== '' && faults.value.some((own) => own.where === where && own.stack === stack);

/** Notes something that went wrong, once. */
export function report(error: unknown, where: string): Fault {
  const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
  const fault = {
    where,
    message: message.slice(0, LONGEST),
    stack: stack.slice(0, LONGEST),
    at: new Date().toISOString(),
  };
  if (isOfFetching(message)) isCodeMissing.value = true;
  else if (!isKnown(fault)) faults.value = [fault, ...faults.value].slice(0, MOST_KEPT);
  return fault;
}

/** What went wrong as a text to hand on: no names, no figures of the job. */
export const faultText = ({ where, message, stack, at }: Fault): string =>
  [`${at} ${where}`, message, stack, navigator.userAgent].join('\n');
