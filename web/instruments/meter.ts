import { shallowReactive } from 'vue';
import { INSTRUMENTS, type InstrumentKind } from '../../core/model/tables/instruments.ts';
import { REFUSED_SAYS, type Said, type Value } from '../../core/instrument/sample.ts';
import { bothWays, settledValue } from '../../core/instrument/settle.ts';
import type { Trouble } from '../../core/instrument/standIn/protocol.ts';
import type { Probe, Specimen } from '../../core/instrument/standIn/specimen.ts';
import type { Instrument as OwnInstrument } from '../../core/model/shop.ts';
import { type ReadWith, TYPED } from '../../core/proof/source.ts';
import { standInAddress } from './address.ts';
import type { Instrument } from './instrument.ts';
import { serialOn } from './serialInstrument.ts';
import { chooseSerial, hasSerial, openSerial } from './serialPort.ts';
import { openSocket } from './socketPort.ts';
import { type StandInInstrument, standInOn } from './standInInstrument.ts';
import { say } from '../../core/words/say.ts';

/** What an instrument is put on. */
export interface PutOn {
  /** Null while the cable's ends are not decided: a real instrument needs none. */
  readonly specimen: Specimen | null;
  readonly probe: Probe;
}

export const BY_EYE = say`by eye`;
export const STAND_IN = 'stand-in';

/** The instrument in hand for one kind of reading: chosen once, and kept from one check to the next. */
export interface Meter {
  readonly state: {
    /** By eye, the stand-in, or the id of one of the shop's. */
    chosen: string;
    status: 'off' | 'connecting' | 'on' | 'lost';
    /** The last thing it said. */
    said: Said | null;
    sentence: string;
    trouble: Trouble;
    /** What the instrument in hand resolves, in the unit of its kind. */
    resolution: number;
  };
  readonly choose: (what: string, own?: OwnInstrument) => Promise<void>;
  /** Puts it on and tells each figure, until the answer is called. Null where it cannot be put on. */
  readonly run: (on: PutOn, hear: (said: Said) => void) => (() => void) | null;
  /** Puts it on and waits until it has settled; null where it was stopped or lost. */
  readonly measure: (
    on: PutOn,
    heard?: (said: Said) => void,
  ) => { readonly value: Promise<number | null>; readonly stop: () => void };
  readonly readWith: () => ReadWith;
  /** Where a figure comes from that is typed while this is in hand: never from a connected instrument. */
  readonly typedWith: () => ReadWith;
  readonly setTrouble: (trouble: Trouble) => void;
  readonly disconnect: () => void;
}

/** An instrument as it stands now, to be kept with what is read with it. */
export const asItStands = ({
  title,
  resolution,
  accuracy,
  due,
}: Pick<OwnInstrument, 'title' | 'resolution' | 'accuracy'> & { due?: string | undefined }) => ({
  title,
  resolution,
  ...(accuracy && { accuracy }),
  ...(due !== undefined && { due }),
});

// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
function createMeter(kind: InstrumentKind): Meter {
  const state: Meter['state'] = shallowReactive({
    chosen: BY_EYE,
    status: 'off',
    said: null,
    sentence: '',
    trouble: 'none',
    resolution: INSTRUMENTS[kind].resolution,
  });
  let instrument: Instrument | null = null;
  let standIn: StandInInstrument | null = null;
  let owned: OwnInstrument | undefined;
  let stopped: (() => void) | null = null;
  let run = 0;

  function disconnect(): void {
    run += 1;
    stopped?.();
    instrument?.onLost(() => {});
    instrument?.shut();
    instrument = standIn = null;
    Object.assign(state, { status: 'off', said: null, trouble: 'none' });
  }

  async function connected(what: string, meter: OwnInstrument | undefined): Promise<Instrument | null> {
    if (what === STAND_IN) {
      standIn = await standInOn(await openSocket(standInAddress(kind)), kind);
      return standIn;
    }
    if (!meter?.line) return null;
    const port = await chooseSerial();
    if (!port) {
      state.sentence = hasSerial()
        ? say`No port was chosen: type the figure, or choose it again.`
        : say`This browser has no serial ports: type the figure.`;
      return null;
    }
    return serialOn(await openSerial(port, meter.line.baud), meter, () => performance.now());
  }

  async function choose(what: string, meter?: OwnInstrument): Promise<void> {
    disconnect();
    const mine = run;
    Object.assign(state, { chosen: what, sentence: '' });
    owned = meter;
    if (what === BY_EYE || (what !== STAND_IN && !meter?.line)) return;
    state.status = 'connecting';
    try {
      const found = await connected(what, meter);
      if (mine !== run) return found?.shut();
      if (!found) return void (state.status = 'off');
      instrument = found;
      found.onLost(lost);
      found.onSaid(heard);
      Object.assign(state, { status: 'on', resolution: found.resolution });
    } catch (error) {
      if (mine !== run) return;
      state.status = 'off';
      state.sentence =
        what === STAND_IN
          ? say`The simulated instruments do not answer: their server is not running.`
          : say`It cannot be connected: ${(error as Error).message}.`;
    }
  }

  let listener: ((said: Said) => void) | null = null;
  function heard(said: Said): void {
    state.said = said;
    if (said.kind === 'refused') state.sentence = REFUSED_SAYS[said.because];
    else if (said.kind === 'over') state.sentence = say`Over its range: are the leads on, is it set right?`;
    else state.sentence = '';
    listener?.(said);
  }
  function lost(): void {
    const end = stopped;
    instrument = standIn = null;
    Object.assign(state, {
      status: 'lost',
      said: null,
      sentence: say`The connection was lost: no reading was recorded.`,
    });
    end?.();
  }

  function begin(
    { specimen, probe }: PutOn,
    hear: (said: Said) => void,
    onEnd: () => void,
  ): (() => void) | null {
    stopped?.();
    if (!instrument) return null;
    if (standIn && !specimen) {
      state.sentence = say`Decide both ends first: a simulated instrument needs a cable with lugs and a length.`;
      return null;
    }
    listener = hear;
    const running = instrument;
    state.said = null;
    running.begin(specimen as Specimen, probe);
    const stop = () => {
      if (stopped !== stop) return;
      listener = stopped = null;
      running.stop();
      onEnd();
    };
    stopped = stop;
    return stop;
  }

  const typedWith = (): ReadWith => (owned ? { source: 'typed', instrument: asItStands(owned) } : TYPED);

  return {
    state,
    choose,
    disconnect,
    run: (on, hear) => begin(on, hear, () => {}),
    measure: (on, told = () => {}) => {
      let stop: (() => void) | null = null;
      const value = new Promise<number | null>((resolve) => {
        const values: Value[] = [];
        let forward: number | null = null;
        const hear = (said: Said) => {
          told(said);
          if (said.kind !== 'value') {
            // What comes after trouble is judged again: no figure is put together across it.
            values.length = 0;
            return;
          }
          if (forward !== null && said.way === 'forward') return;
          values.push(said);
          const running = instrument;
          const settled = settledValue(values, state.resolution);
          if (settled === null) return;
          if (running?.turns && forward === null) {
            forward = settled;
            values.length = 0;
            running.turn();
            return;
          }
          resolve(forward === null ? settled : bothWays(forward, settled).milliohm);
          stop?.();
        };
        stop = begin(on, hear, () => resolve(null));
        if (!stop) resolve(null);
      });
      return { value, stop: () => stop?.() };
    },
    readWith: () => {
      if (instrument) return { source: instrument.source, instrument: asItStands(instrument) };
      return typedWith();
    },
    typedWith: () => (instrument ? TYPED : typedWith()),
    setTrouble: (trouble) => {
      state.trouble = trouble;
      standIn?.trouble(trouble);
    },
  };
}

const meters = new Map<InstrumentKind, Meter>();

/** The instrument in hand for a kind of reading. */
export function meterOf(kind: InstrumentKind): Meter {
  const known = meters.get(kind);
  if (known) return known;
  const made = createMeter(kind);
  meters.set(kind, made);
  return made;
}
