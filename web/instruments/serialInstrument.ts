import type { Said } from '../../core/instrument/sample.ts';
import { compileLine } from '../../core/instrument/linePattern.ts';
import type { Instrument as OwnInstrument } from '../../core/model/shop.ts';
import type { Instrument } from './instrument.ts';
import type { LinePort } from './port.ts';

/** An instrument that waits to be asked is asked so often. */
const ASK_MS = 400;

/**
 * An instrument of the shop on a serial line, its lines read by its own pattern. Its seconds count from the moment it
 * is begun, by the clock it is given.
 *
 * @param nowMs a clock, ms
 * @throws Error where its pattern cannot be meant
 */
export function serialOn(port: LinePort, own: OwnInstrument, nowMs: () => number): Instrument {
  const { line, kind, title, resolution, due } = own;
  if (!line) throw new Error('it has no line');
  const compiled = compileLine(line.pattern, line.unit, kind);
  if (!compiled.ok) throw new Error(compiled.sentence);
  let hear: (said: Said) => void = () => {};
  let lost: () => void = () => {};
  let sinceMs: number | null = null;
  let timer: ReturnType<typeof setInterval> | undefined;
  port.onLine((text) => {
    if (sinceMs !== null) hear(compiled.read(text, (nowMs() - sinceMs) / 1000));
  });
  const stop = () => {
    clearInterval(timer);
    sinceMs = null;
  };
  port.onShut(() => {
    stop();
    lost();
  });
  return {
    kind,
    title,
    resolution,
    ...(due !== undefined && { due }),
    source: 'instrument',
    turns: false,
    begin: () => {
      stop();
      sinceMs = nowMs();
      if (line.ask !== '') {
        port.say(line.ask);
        timer = setInterval(() => port.say(line.ask), ASK_MS);
      }
    },
    turn: () => {},
    stop,
    onSaid: (listen) => void (hear = listen),
    onLost: (tell) => void (lost = tell),
    shut: () => {
      stop();
      port.shut();
    },
  };
}
