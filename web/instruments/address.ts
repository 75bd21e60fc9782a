import type { InstrumentKind } from '../../core/model/tables/instruments.ts';

/** Where the server keeps the stand-in for a kind of instrument. */
export const standInAddress = (kind: InstrumentKind | 'printer'): string =>
  `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/instruments/${kind}`;
