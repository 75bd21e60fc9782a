import { tell } from '../../words/message.ts';
import { INSTRUMENTS, type InstrumentKind } from '../../model/tables/instruments.ts';
import { type Random, scattered } from '../../lib/random.ts';
import {
  NOT_UNDERSTOOD,
  PUT_ON,
  type Identity,
  putOnSchema,
  readCommand,
  type Trouble,
  TROUBLES,
  writeValue,
} from './protocol.ts';
import type { HiddenFault, Probe, Specimen } from './specimen.ts';
import { baseUnitOf } from '../units.ts';
import { truthAt } from './truth.ts';

/** How a kind of instrument behaves: noise as a share and in steps, settling time and slow drift. */
const MANNERS: Readonly<
  Record<InstrumentKind, { noiseShare: number; noiseSteps: number; settlesS: number; driftShare: number }>
> = {
  milliohm: { noiseShare: 0.001, noiseSteps: 0.6, settlesS: 0.6, driftShare: 0.002 },
  insulation: { noiseShare: 0.004, noiseSteps: 0.5, settlesS: 0.4, driftShare: 0.004 },
  scale: { noiseShare: 0.001, noiseSteps: 0.5, settlesS: 0.2, driftShare: 0.0005 },
  calliper: { noiseShare: 0, noiseSteps: 0.7, settlesS: 0.3, driftShare: 0 },
  thermal: { noiseShare: 0, noiseSteps: 0.8, settlesS: 0.5, driftShare: 0.001 },
  millivolt: { noiseShare: 0.001, noiseSteps: 0.6, settlesS: 0.4, driftShare: 0.002 },
};
/** A thermal voltage at the probes puts a resistance off by so much, mΩ, the other way when the current is turned. */
const THERMAL_OFFSET_MILLIOHM = 0.0004;
/** It says it has settled after so many of its settling times. */
const SETTLED_AFTER = 5;
const DRIFT_S = 90;
const FASTEST_MS = 50;
const SLOWEST_MS = 5000;

/** What a stand-in answers: lines, and whether it hangs up. */
export interface Answer {
  readonly lines: readonly string[];
  readonly hangsUp: boolean;
}

/**
 * A stand-in for an instrument: it takes lines, gives lines, and knows no clock but the one it is told. It behaves as
 * its kind does: it settles, scatters, drifts, goes over its range, and can be asked to make trouble.
 */
export interface StandIn {
  /** A line came in at a moment, s. */
  readonly hear: (line: string, nowS: number) => Answer;
  /** Time has passed: what it streams. */
  readonly tick: (nowS: number) => Answer;
}

/**
 * @param random seeded, so that what it scatters can be had again
 * @param faults what is wrong with cables and nobody has said
 */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state of one instrument
export function standIn(kind: InstrumentKind, random: Random, faults: readonly HiddenFault[]): StandIn {
  const { title, resolution, most } = INSTRUMENTS[kind];
  const manner = MANNERS[kind];
  const phase = 2 * Math.PI * random();
  let on: { specimen: Specimen; probe: Probe; sinceS: number; fromValue: number } | null = null;
  let way: 'forward' | 'reverse' = 'forward';
  let turnedS = 0;
  let streamS: number | null = null;
  let nextS = 0;
  let trouble: Trouble = 'none';
  let shown = 0;

  const say = (...lines: string[]): Answer => ({ lines, hangsUp: false });
  const identity: Identity = { kind, title: `${tell(title)}, simulated`, resolution, simulated: true };

  function reading(nowS: number): string {
    const atS = on ? nowS - on.sinceS : nowS;
    if (trouble === 'garbled lines' && random() < 0.7) return '\u0007re#d;ng 0.0O1l mJ @';
    if (trouble === 'wrong unit') return writeValue(21.4, 'Hz', atS, true);
    const truth = on && truthAt(kind, on.specimen, on.probe, faults, atS);
    if (trouble === 'over range' || on === null || truth === null || truth > most) {
      return `over at ${atS.toFixed(2)}`;
    }
    const off = kind === 'milliohm' ? (way === 'forward' ? 1 : -1) * THERMAL_OFFSET_MILLIOHM : 0;
    const movingS = nowS - Math.max(on.sinceS, turnedS);
    const near = 1 - Math.exp(-movingS / manner.settlesS);
    const drift = 1 + manner.driftShare * Math.sin(phase + (2 * Math.PI * nowS) / DRIFT_S);
    const noise = scattered(random, manner.noiseShare * truth + manner.noiseSteps * resolution);
    const target = (truth + off) * drift;
    const value = on.fromValue + (target - on.fromValue) * near + noise;
    shown = value;
    const steps = Math.round(value / resolution);
    const places = Math.max(0, -Math.floor(Math.log10(resolution)));
    return writeValue(
      Number((Math.max(0, steps) * resolution).toFixed(places)),
      baseUnitOf(kind),
      atS,
      movingS >= SETTLED_AFTER * manner.settlesS,
      kind === 'milliohm' ? way : undefined,
    );
  }

  function putOn(rest: string, nowS: number): Answer {
    on = null;
    let data: unknown;
    try {
      data = JSON.parse(rest);
    } catch {
      return say(NOT_UNDERSTOOD);
    }
    const parsed = putOnSchema.safeParse(data);
    if (!parsed.success) return say(NOT_UNDERSTOOD);
    on = { ...parsed.data, sinceS: nowS, fromValue: kind === 'scale' ? 0 : shown };
    way = 'forward';
    return say(PUT_ON);
  }

  function hear(line: string, nowS: number): Answer {
    const heard = readCommand(line);
    if (!heard) return say(NOT_UNDERSTOOD);
    const { command, rest } = heard;
    switch (command) {
      case 'identify':
        return say(`identity ${JSON.stringify(identity)}`);
      case 'put-on':
        return putOn(rest, nowS);
      case 'measure':
        return trouble === 'drops out' ? { lines: [], hangsUp: true } : say(reading(nowS));
      case 'stream': {
        const every = Number(rest);
        if (!Number.isFinite(every) || every < FASTEST_MS || every > SLOWEST_MS) return say(NOT_UNDERSTOOD);
        streamS = every / 1000;
        nextS = nowS;
        return say('ok streaming');
      }
      case 'stop':
        streamS = null;
        return say('ok stopped');
      case 'turn':
        way = way === 'forward' ? 'reverse' : 'forward';
        turnedS = nowS;
        return say(`ok ${way}`);
      case 'trouble': {
        const named = TROUBLES.find((own) => own === rest);
        if (!named) return say(NOT_UNDERSTOOD);
        trouble = named;
        return say('ok trouble');
      }
    }
  }

  function tick(nowS: number): Answer {
    if (streamS === null || nowS < nextS) return say();
    nextS = Math.max(nextS + streamS, nowS);
    return trouble === 'drops out' ? { lines: [], hangsUp: true } : say(reading(nowS));
  }

  return { hear, tick };
}
