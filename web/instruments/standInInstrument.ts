import type { InstrumentKind } from '../../core/model/tables/instruments.ts';
import type { Said } from '../../core/instrument/sample.ts';
import {
  type Identity,
  NOT_UNDERSTOOD,
  PUT_ON,
  readStandIn,
  type Trouble,
  writeCommand,
} from '../../core/instrument/standIn/protocol.ts';
import type { Instrument } from './instrument.ts';
import type { LinePort } from './port.ts';

const EVERY_MS = 200;
const PATIENCE_MS = 10_000;

/** A stand-in on a line: its readings are simulated, and say so. */
export interface StandInInstrument extends Instrument {
  readonly trouble: (trouble: Trouble) => void;
}

/**
 * Asks who is on the line and makes an instrument of it.
 *
 * @throws Error where nobody of that kind answers
 */
export async function standInOn(port: LinePort, kind: InstrumentKind): Promise<StandInInstrument> {
  let hear: (said: Said) => void = () => {};
  let lost: () => void = () => {};
  /** Probes that it has not answered for yet: until then what comes is of the one before. */
  let toPutOn = 0;
  const identity = await new Promise<Identity>((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('it does not say who it is')), PATIENCE_MS);
    port.onShut(() => {
      clearTimeout(timer);
      reject(new Error('it hung up'));
      lost();
    });
    port.onLine((line) => {
      const said = readStandIn(line, kind);
      if (said.kind === 'identity') {
        clearTimeout(timer);
        resolve(said.identity);
        return;
      }
      if (toPutOn > 0 && (line === PUT_ON || line === NOT_UNDERSTOOD)) toPutOn -= 1;
      if (said.kind === 'refused' || (said.kind !== 'heard' && toPutOn === 0)) hear(said);
    });
    port.say(writeCommand('identify'));
  });
  return {
    kind,
    title: identity.title,
    resolution: identity.resolution,
    source: 'simulated',
    turns: kind === 'milliohm',
    begin: (specimen, probe) => {
      toPutOn += 1;
      port.say(writeCommand('put-on', JSON.stringify({ specimen, probe })));
      port.say(writeCommand('stream', String(EVERY_MS)));
    },
    turn: () => port.say(writeCommand('turn')),
    stop: () => port.say(writeCommand('stop')),
    trouble: (trouble) => port.say(writeCommand('trouble', trouble)),
    onSaid: (own) => void (hear = own),
    onLost: (own) => void (lost = own),
    shut: port.shut,
  };
}
