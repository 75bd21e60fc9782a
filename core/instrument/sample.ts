import { say } from '../words/say.ts';
/** One thing an instrument said. */
export type Said =
  | {
      readonly kind: 'value';
      /** In the unit of the instrument's kind. */
      readonly value: number;
      /** Seconds since the probes went on, by the instrument's clock or by arrival. */
      readonly atS: number;
      /** The instrument says of itself that it has settled; null where it says nothing. */
      readonly settled: boolean | null;
      /** Which way the measuring current flows, where that can be turned. */
      readonly way?: 'forward' | 'reverse';
    }
  | { readonly kind: 'over'; readonly atS: number }
  | { readonly kind: 'refused'; readonly because: Refused; readonly line: string };

export type Value = Extract<Said, { kind: 'value' }>;

/** Why a line is no reading. */
export type Refused = 'garbage' | 'wrong unit' | 'too long';

/** What is said of a line that is no reading. */
export const REFUSED_SAYS: Readonly<Record<Refused, string>> = {
  garbage: say`A line that is no reading was left out.`,
  'wrong unit': say`A figure in another unit was left out: is the instrument set to what is measured?`,
  'too long': say`An endless line was left out: is the speed of the line right?`,
};
