import { lineSplitter } from '../../core/instrument/lines.ts';
import { type LinePort, portEvents } from './port.ts';

/** What of a serial port is used: as browsers that have Web Serial give it. */
export interface SerialLike {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly writable: WritableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}

/** Asks the person which serial port; null where the browser has none to offer, or none was chosen. */
export async function chooseSerial(): Promise<SerialLike | null> {
  const { serial } = navigator as Navigator & { serial?: { requestPort(): Promise<SerialLike> } };
  return serial ? serial.requestPort().catch(() => null) : null;
}

export const hasSerial = () => 'serial' in navigator;

/**
 * A line over a serial port.
 *
 * @throws Error where the port cannot be opened: another program has it
 */
export async function openSerial(port: SerialLike, baud: number): Promise<LinePort> {
  await port.open({ baudRate: baud });
  const { readable, writable } = port;
  if (!readable || !writable) throw new Error('the port neither reads nor writes');
  const events = portEvents();
  const take = lineSplitter();
  const decoder = new TextDecoder('utf-8');
  const reader = readable.getReader();
  const writer = writable.getWriter();
  const encoder = new TextEncoder();

  async function listen(): Promise<void> {
    try {
      for (;;) {
        const { value, done } = await reader.read();
        if (done) return;
        take(decoder.decode(value, { stream: true })).forEach(events.line);
      }
    } finally {
      reader.releaseLock();
      writer.releaseLock();
      await port.close().catch(() => undefined);
      events.shut();
    }
  }
  // A cable pulled out ends the reading with an error: the port has shut, and that is all there is to say.
  void listen().catch(() => undefined);
  return {
    say: (line) => void writer.write(encoder.encode(`${line}\r\n`)).catch(() => undefined),
    onLine: events.onLine,
    onShut: events.onShut,
    shut: () => void reader.cancel().catch(() => undefined),
  };
}
