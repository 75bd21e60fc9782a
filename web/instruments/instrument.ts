import type { InstrumentKind } from '../../core/model/tables/instruments.ts';
import type { Said } from '../../core/instrument/sample.ts';
import type { Probe, Specimen } from '../../core/instrument/standIn/specimen.ts';
import type { Reading } from '../../core/model/reading.ts';

/** An instrument that is connected, whichever way it speaks. */
export interface Instrument {
  readonly kind: InstrumentKind;
  readonly title: string;
  /** In the unit of its kind. */
  readonly resolution: number;
  /** What a reading taken with it says of where it came from. */
  readonly source: Extract<Reading['source'], 'instrument' | 'simulated'>;
  readonly due?: string;
  /** Whether it can turn its measuring current by itself. */
  readonly turns: boolean;
  /** Begins a measurement: its seconds count from here, and it says what it sees until it is stopped. */
  readonly begin: (specimen: Specimen, probe: Probe) => void;
  readonly turn: () => void;
  readonly stop: () => void;
  readonly onSaid: (hear: (said: Said) => void) => void;
  /** Told once when the connection is lost or shut. */
  readonly onLost: (tell: () => void) => void;
  readonly shut: () => void;
}
