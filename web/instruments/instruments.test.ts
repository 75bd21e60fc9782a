import { describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import type { Said } from '../../core/instrument/sample.ts';
import type { Instrument as OwnInstrument } from '../../core/model/shop.ts';
import { type LinePort, portEvents } from './port.ts';
import { openSerial, type SerialLike } from './serialPort.ts';
import { serialOn } from './serialInstrument.ts';
import { standInOn } from './standInInstrument.ts';

const CALLIPER: OwnInstrument = {
  id: 'c1',
  title: 'Calliper 150',
  kind: 'calliper',
  resolution: 0.01,
  due: '2027-05-31',
  line: { pattern: '<value> <unit>', unit: '', ask: '?', baud: 4800 },
};
const SPECIMEN = {
  cableId: 'c',
  milliohmPerM: 0.27,
  betweenMouthsMm: 900,
  slipsAtN: 2000,
  ends: { A: { barrelMm: 28, dieMm: 14 }, B: { barrelMm: 28, dieMm: 14 } },
};

/** A serial port in little: what it is told is kept, what it sends is fed by the test, and it can be pulled out. */
function serial() {
  let feed: ReadableStreamDefaultController<Uint8Array> | undefined;
  const told: string[] = [];
  const open = jest.fn<SerialLike['open']>(async () => {});
  const close = jest.fn(async () => {});
  const port: SerialLike = {
    readable: new ReadableStream<Uint8Array>({ start: (controller) => void (feed = controller) }),
    writable: new WritableStream<Uint8Array>({
      write: (bytes) => void told.push(new TextDecoder().decode(bytes)),
    }),
    open,
    close,
  };
  const send = async (bytes: string | Uint8Array) => {
    feed?.enqueue(typeof bytes === 'string' ? new TextEncoder().encode(bytes) : bytes);
    await settle();
  };
  return { port, told, open, close, send, pullOut: () => feed?.error(new Error('device lost')) };
}
const settle = () => new Promise((resolve) => setTimeout(resolve, 5));

async function connected(own = CALLIPER) {
  const wire = serial();
  let clock = 0;
  const port = await openSerial(wire.port, own.line?.baud ?? 9600);
  const instrument = serialOn(port, own, () => clock);
  const said: Said[] = [];
  const lost = jest.fn();
  instrument.onSaid((one) => void said.push(one));
  instrument.onLost(lost);
  return { ...wire, instrument, said, lost, wait: (ms: number) => (clock += ms) };
}

describe('an instrument on a serial line', () => {
  test('is opened at its own speed, asked, and read by its own pattern', async () => {
    const { instrument, send, said, told, open, wait } = await connected();
    expect(open).toHaveBeenCalledWith({ baudRate: 4800 });
    instrument.begin(SPECIMEN, { at: 'flats', end: 'A' });
    wait(1200);
    await send('14.0');
    await send('2 mm\r\n');
    expect(said).toEqual([{ kind: 'value', value: 14.02, atS: 1.2, settled: null }]);
    expect(told[0]).toBe('?\r\n');
    expect(instrument).toMatchObject({ source: 'instrument', due: '2027-05-31' });
    instrument.shut();
  });
  test('says nothing before it is begun, nor after it is stopped', async () => {
    const { instrument, send, said } = await connected();
    await send('14.02 mm\n');
    instrument.begin(SPECIMEN, { at: 'flats', end: 'A' });
    instrument.stop();
    await send('14.03 mm\n');
    expect(said).toEqual([]);
    instrument.shut();
  });
  test('garbage, another unit and bytes that are no text never become a value', async () => {
    const { instrument, send, said } = await connected();
    instrument.begin(SPECIMEN, { at: 'flats', end: 'A' });
    await send('14,,02 mm\n14.02 kg\n');
    await send(new Uint8Array([0xff, 0xfe, 0x31, 0x34, 0x0a, 0x80, 0x0a]));
    await send(`${'1'.repeat(3000)}`);
    expect(said.map((one) => (one.kind === 'refused' ? one.because : one.kind))).toEqual([
      'garbage',
      'wrong unit',
      'garbage',
      'garbage',
      'too long',
    ]);
    instrument.shut();
  });
  test('pulled out in the middle of a line: told once, no value, the port given back', async () => {
    const { instrument, send, said, lost, close, pullOut } = await connected();
    instrument.begin(SPECIMEN, { at: 'flats', end: 'A' });
    await send('14.0');
    pullOut();
    await settle();
    expect(said).toEqual([]);
    expect(lost).toHaveBeenCalledTimes(1);
    expect(close).toHaveBeenCalledTimes(1);
    instrument.shut();
    await settle();
    expect(lost).toHaveBeenCalledTimes(1);
  });
  test('with a pattern that cannot be meant it is not connected', async () => {
    const wire = serial();
    const port = await openSerial(wire.port, 9600);
    const own = { ...CALLIPER, line: { pattern: '<value>', unit: 'kg', ask: '', baud: 9600 as const } };
    expect(() => serialOn(port, own, () => 0)).toThrow('“kg” is no unit');
    port.shut();
  });
});

/** A line in little, with whatever is to answer. */
function line(answer: (said: string) => string[]) {
  const events = portEvents();
  const told: string[] = [];
  const port: LinePort = {
    say: (text) => {
      told.push(text);
      answer(text).forEach(events.line);
    },
    onLine: events.onLine,
    onShut: events.onShut,
    shut: events.shut,
  };
  return { port, told, events };
}
const WHO = 'identity {"kind":"scale","title":"crane scale, stand-in","resolution":1,"simulated":true}';

describe('a stand-in on its line', () => {
  test('is simulated whatever it says, and its readings go by its own clock', async () => {
    const { port, events } = line((said) => (said === 'identify' ? [WHO] : []));
    const instrument = await standInOn(port, 'scale');
    const said: Said[] = [];
    instrument.onSaid((one) => void said.push(one));
    events.line('ok on');
    events.line('reading 667 N at 12.40 settled');
    events.line('reading 667 kWh at 12.60 settled');
    expect(instrument.source).toBe('simulated');
    expect(said).toMatchObject([{ kind: 'value', value: 667, atS: 12.4 }, { kind: 'refused' }]);
  });
  test('is heard of the probe that was put on last, whatever was still on the line', async () => {
    const doing = fc.constantFrom('puts on', 'answers', 'refuses', 'reads' as const);
    await fc.assert(
      fc.asyncProperty(fc.array(doing, { maxLength: 30 }), async (doings) => {
        const { port, events } = line((said) => (said === 'identify' ? [WHO] : []));
        const instrument = await standInOn(port, 'scale');
        const said: number[] = [];
        instrument.onSaid((one) => void (one.kind === 'value' && said.push(one.value)));
        // A probe is read as its own number, N.
        let [putOn, answered, isOn] = [0, 0, false];
        for (const own of doings) {
          if (own === 'puts on') {
            putOn += 1;
            instrument.begin(SPECIMEN, { at: 'pull', end: 'A', toN: putOn });
          } else if ((own === 'answers' || own === 'refuses') && answered < putOn) {
            answered += 1;
            isOn = own === 'answers';
            events.line(isOn ? 'ok on' : 'not understood');
          } else if (own === 'reads' && answered > 0) {
            const before = said.length;
            // A probe that was refused is on nothing.
            events.line(isOn ? `reading ${answered} N at 1.00 settled` : 'over at 1.00');
            expect(said.slice(before)).toEqual(isOn && answered === putOn ? [putOn] : []);
          }
        }
      }),
    );
  });
  test('that does not say it is simulated is not let in', async () => {
    const { port, events } = line(() => []);
    const waiting = standInOn(port, 'scale');
    events.line(WHO.replace('"simulated":true', '"simulated":false'));
    events.shut();
    await expect(waiting).rejects.toThrow('it hung up');
  });
  test('lost, it says so once', async () => {
    const { port, events } = line((said) => (said === 'identify' ? [WHO] : []));
    const instrument = await standInOn(port, 'scale');
    const lost = jest.fn();
    instrument.onLost(lost);
    events.shut();
    events.shut();
    expect(lost).toHaveBeenCalledTimes(1);
  });
});
