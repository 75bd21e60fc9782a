import * as z from 'zod/mini';
import { INSTRUMENT_KINDS, type InstrumentKind } from '../../model/tables/instruments.ts';
import { text } from '../../model/text.ts';
import type { Said } from '../sample.ts';
import { inUnitOf } from '../units.ts';
import { probeSchema, specimenSchema } from './specimen.ts';

/** What an instrument says of itself. */
export const identitySchema = z.strictObject({
  kind: z.enum(INSTRUMENT_KINDS as [InstrumentKind, ...InstrumentKind[]]),
  title: text(80),
  /** In the unit of its kind. */
  resolution: z.number().check(z.positive()),
  /** A stand-in always says so. */
  simulated: z.literal(true),
});
export type Identity = z.infer<typeof identitySchema>;

/** What a stand-in is put on, and where. */
export const putOnSchema = z.strictObject({ specimen: specimenSchema, probe: probeSchema });

/** Trouble that a stand-in can be asked to make, to see that no reading comes of it. */
export const TROUBLES = ['none', 'garbled lines', 'wrong unit', 'over range', 'drops out'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** What may be said to a stand-in, a line each: a word, and what goes with it. */
export const COMMANDS = ['identify', 'put-on', 'measure', 'stream', 'stop', 'turn', 'trouble'] as const;
export type Command = (typeof COMMANDS)[number];

/** A line to a stand-in. @example writeCommand('stream', '200') // "stream 200" */
export const writeCommand = (command: Command, rest = ''): string => `${command} ${rest}`.trim();

/** The word and the rest of a line that was sent; null where it is no command. */
export function readCommand(line: string): { command: Command; rest: string } | null {
  const [, word = '', rest = ''] = /^([a-z-]+)(?: (.*))?$/.exec(line.trim()) ?? [];
  const command = COMMANDS.find((own) => own === word);
  return command ? { command, rest } : null;
}

/** A value as a stand-in says it. */
export const writeValue = (
  value: number,
  unit: string,
  atS: number,
  settled: boolean,
  way?: 'forward' | 'reverse',
): string =>
  `reading ${value} ${unit} at ${atS.toFixed(2)} ${settled ? 'settled' : 'moving'}${way ? ` ${way}` : ''}`;

const VALUE =
  /^reading (?<value>-?\d+(?:\.\d+)?(?:e[+-]\d+)?) (?<unit>\S{1,6}) at (?<at>\d+(?:\.\d+)?) (?<state>settled|moving)(?: (?<way>forward|reverse))?$/;

/** What a stand-in answers once a probe is on: what it read before was of the one before. */
export const PUT_ON = 'ok on';
/** What it answers to what it cannot take; a probe that it cannot take is on nothing. */
export const NOT_UNDERSTOOD = 'not understood';

/**
 * What a line from a stand-in says: who it is, a figure, too much, or nothing that can be read.
 *
 * @example readStandIn('reading 0.0149 mΩ at 3.20 settled forward', 'milliohm')
 */
export function readStandIn(
  line: string,
  kind: InstrumentKind,
): Said | { readonly kind: 'identity'; readonly identity: Identity } | { readonly kind: 'heard' } {
  const garbage: Said = { kind: 'refused', because: 'garbage', line: line.slice(0, 200) };
  if (line.startsWith('identity ')) {
    try {
      const identity = identitySchema.safeParse(JSON.parse(line.slice('identity '.length)));
      return identity.success && identity.data.kind === kind
        ? { kind: 'identity', identity: identity.data }
        : garbage;
    } catch {
      return garbage;
    }
  }
  if (/^ok( [a-z]+)?$/.test(line)) return { kind: 'heard' };
  const over = /^over at (\d+(?:\.\d+)?)$/.exec(line);
  if (over) return { kind: 'over', atS: Number(over[1]) };
  const found = VALUE.exec(line)?.groups;
  if (!found) return garbage;
  const value = inUnitOf(kind, Number(found['value']), found['unit'] ?? '');
  if (value === null) return { kind: 'refused', because: 'wrong unit', line };
  return {
    kind: 'value',
    value,
    atS: Number(found['at']),
    settled: found['state'] === 'settled',
    ...(found['way'] && { way: found['way'] as 'forward' | 'reverse' }),
  };
}
