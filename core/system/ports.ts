import { LuDecomposition, Matrix } from 'ml-matrix';
import { type NetSupply, type Pair, sound, STIFF_SUPPLY_OHM, type SupplyMode } from './pieces.ts';

type Vector = readonly number[];

/**
 * A place where what flows is not in proportion to the volts: a load of watts, a supply at its limit, the two sides of a
 * converter. All else is in the factored network.
 */
export interface Port {
  readonly pair: Pair;
  readonly is:
    | { readonly kind: 'watts'; readonly watts: number }
    | { readonly kind: 'supply'; readonly supply: NetSupply }
    | { readonly kind: 'input'; readonly output: number; readonly efficiency: number };
}

/** Amps a supply gives through its own resistance and what was put beside it. */
export const given = (supply: NetSupply, volts: number, beside: number): number =>
  (supply.volts - volts) / sound(supply.ohm, STIFF_SUPPLY_OHM) + beside;

const MOST_NEWTON = 25;
const MOST_MODES = 60;
/** A step of the whole load smaller than this is none: the network carries no more. */
const LEAST_LOAD_STEP = 5e-4;
const CLOSE_A = 1e-9;

/** The ports solved together: their volts before anything is drawn there, and what an ampere at each does to all. */
export class Ports {
  constructor(
    private readonly ports: readonly Port[],
    private readonly open: Vector,
    private readonly ohm: readonly (readonly number[])[],
  ) {}

  volts(amps: Vector): Vector {
    return this.open.map((volts, p) =>
      this.ports.reduce((sum, _, q) => sum + (this.ohm[p]?.[q] ?? 0) * (amps[q] ?? 0), volts),
    );
  }

  /** How far each port is from what it must do, and how that moves with the amps at each. */
  private equations(amps: Vector, volts: Vector, modes: readonly SupplyMode[], share: number) {
    const slopes = this.ports.map(() => new Array<number>(this.ports.length).fill(0));
    const add = (row: number, byVolts: number, port: number) =>
      this.ports.forEach((_, q) => {
        const own = slopes[row];
        if (own) own[q] = (own[q] ?? 0) + byVolts * (this.ohm[port]?.[q] ?? 0);
      });
    const addAmps = (row: number, port: number, value: number) => {
      const own = slopes[row];
      if (own) own[port] = (own[port] ?? 0) + value;
    };
    const off = this.ports.map(({ is }, p): number => {
      const [current, portV] = [amps[p] ?? 0, volts[p] ?? 0];
      if (is.kind === 'watts') {
        // −amps is drawn: −amps · volts = share · watts.
        addAmps(p, p, portV);
        add(p, current, p);
        return current * portV + share * is.watts;
      }
      if (is.kind === 'supply') {
        const mode = modes[p] ?? 'holds';
        addAmps(p, p, 1);
        if (mode === 'holds') return current;
        add(p, -1 / sound(is.supply.ohm, STIFF_SUPPLY_OHM), p);
        return given(is.supply, portV, current) - (mode === 'limit' ? is.supply.amps : 0);
      }
      const output = this.ports[is.output];
      if (output?.is.kind !== 'supply') return current;
      const { supply } = output.is;
      const [outV, out] = [volts[is.output] ?? 0, amps[is.output] ?? 0];
      const gives = given(supply, outV, out);
      addAmps(p, p, portV);
      add(p, current, p);
      const perVolt = gives - outV / sound(supply.ohm, STIFF_SUPPLY_OHM);
      add(p, (share * perVolt) / is.efficiency, is.output);
      addAmps(p, is.output, (share * outV) / is.efficiency);
      return current * portV + (share * gives * outV) / is.efficiency;
    });
    return { off, slopes };
  }

  /** Newton's steps with each supply in its mode; null where they lead nowhere. */
  private settle(start: Vector, modes: readonly SupplyMode[], share: number): Vector | null {
    let amps = start;
    for (let i = 0; i < MOST_NEWTON; i += 1) {
      const volts = this.volts(amps);
      // A load that has come down to no volts does not come up again.
      if (this.ports.some(({ is }, p) => is.kind !== 'supply' && !((volts[p] ?? 0) > 0))) return null;
      const { off, slopes } = this.equations(amps, volts, modes, share);
      let step: Vector;
      try {
        step = new LuDecomposition(new Matrix(slopes)).solve(Matrix.columnVector(off)).to1DArray();
      } catch {
        return null;
      }
      amps = amps.map((value, p) => value - (step[p] ?? 0));
      if (amps.some((value) => !Number.isFinite(value) || Math.abs(value) > 1e9)) return null;
      if (step.every((value, p) => Math.abs(value) <= CLOSE_A * (1 + Math.abs(amps[p] ?? 0)))) return amps;
    }
    return null;
  }

  /** What a supply ought to do, where its mode is not borne out. */
  private wants(p: number, amps: Vector, volts: Vector, mode: SupplyMode): SupplyMode {
    const port = this.ports[p];
    if (port?.is.kind !== 'supply') return mode;
    const { supply } = port.is;
    const portV = volts[p] ?? 0;
    const now = given(supply, portV, amps[p] ?? 0);
    const slack = 1e-7 * (1 + supply.amps);
    if (mode === 'holds') return now > supply.amps + slack ? 'limit' : now < -slack ? 'stands by' : mode;
    const free = given(supply, portV, 0);
    if (mode === 'limit') return free < supply.amps - slack ? 'holds' : mode;
    return free > slack ? 'holds' : mode;
  }

  /** The ports at a share of all loads, each supply in the mode that is borne out; null where there is no such point. */
  private at(
    start: Vector,
    from: readonly SupplyMode[],
    share: number,
  ): { amps: Vector; modes: readonly SupplyMode[] } | null {
    let modes = from;
    for (let i = 0; i < MOST_MODES; i += 1) {
      const amps = this.settle(start, modes, share);
      if (!amps) return null;
      const volts = this.volts(amps);
      const next = modes.map((mode, p) => this.wants(p, amps, volts, mode));
      const changed = next.findIndex((mode, p) => mode !== modes[p]);
      if (changed < 0) return { amps, modes };
      // All at once at first; where that goes in circles, the first that must, which comes to an end.
      const one = i > 8;
      modes = modes.map((mode, p) => (!one || p === changed ? (next[p] ?? mode) : mode));
    }
    return null;
  }

  /**
   * All loads, brought on little by little from none, so that the upper of two operating points is found; null where
   * they cannot be brought on whole.
   */
  solve(): { amps: Vector; modes: readonly SupplyMode[] } | null {
    let now = this.at(
      this.ports.map(() => 0),
      this.ports.map(() => 'holds'),
      0,
    );
    let [share, stride] = [0, 0.5];
    while (now && share < 1) {
      const to = Math.min(1, share + stride);
      const next = this.at(now.amps, now.modes, to);
      const volts = next && this.volts(next.amps);
      const isUp = volts && this.ports.every(({ is }, p) => is.kind === 'supply' || (volts[p] ?? 0) > 0);
      if (next && isUp) [now, share, stride] = [next, to, 2 * stride];
      else {
        stride /= 2;
        if (stride < LEAST_LOAD_STEP) return null;
      }
    }
    return now;
  }
}
