import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bundleDiameterMm } from '../conductor/geometry.ts';
import { resistancePerMetre20 } from '../conductor/resistance.ts';
import { CIRCULAR_MIL_MM2, METRIC_SIZES, type ConductorSize } from '../model/tables/size.ts';
import { ambientFactor } from './ambientFactor.ts';
import { currentForWatts, quickRuleCircularMils, voltageDrop } from './drop.ts';
import { ampacityByHeatBalance, steadyTemperature, type ThermalCable } from './heatBalance.ts';
import { placingFactor } from './placing.ts';
import { rootBetween } from './root.ts';
import { ampacityInch, ampacityMetric } from './tableAmpacity.ts';
import { dutyCycle } from './dutyCycle.ts';
import { followSteps, hottest, settleCycle } from './transient.ts';
import { solveChain } from './tridiagonal.ts';

const plain = (name: (typeof METRIC_SIZES)[number], outerMm: number): ThermalCable => {
  const size: ConductorSize = { system: 'metric', name };
  return {
    ohmPerMetre20: resistancePerMetre20(size, { tinned: false }),
    copperMm2: Number(name),
    bundleMm: bundleDiameterMm(Number(name)),
    outerMm,
    jacketConductivity: 0.17,
  };
};
const shade = (ambientC: number) => ({ ambientC, sunWPerM2: 0 });

describe('volts lost on the way', () => {
  test('160 A through 7.5 m of 95 mm² and back, cold', () => {
    const half = resistancePerMetre20({ system: 'metric', name: '95' }, { tinned: false }) * 7.5;
    const drop = voltageDrop(160, 2 * half);
    expect(drop).toBeCloseTo(0.494, 3);
    expect((drop / 24) * 100).toBeCloseTo(2.06, 2);
  });
  test('the printed chart asks 64 500 circular mils for 120 A, 9 ft one way, 3 % of 12 V', () => {
    const mils = quickRuleCircularMils(120, 18 * 0.3048, 0.36);
    expect(mils).toBeCloseTo(64500, 0);
    expect(mils * CIRCULAR_MIL_MM2).toBeCloseTo(32.68, 2);
  });
});

describe('a load in watts', () => {
  test('a 3 kW inverter at 90 % on 24.8 V', () => {
    const ohm = 2 * 3.2 * resistancePerMetre20({ system: 'metric', name: '70' }, { tinned: false }) + 0.0015;
    expect(currentForWatts(3000 / 0.9, 24.8, ohm)).toBeCloseTo(136.86, 1);
  });
  test('20 kW through 5 mΩ on 12 V cannot be delivered', () =>
    expect(currentForWatts(20000, 12, 0.005)).toBeNull());
  test('the solved current delivers the watts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 4000, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 1e-5, max: 0.02, noNaN: true }),
        (watts, volts, ohm) => {
          const amps = currentForWatts(watts, volts, ohm);
          if (amps === null) return watts > volts ** 2 / (4 * ohm) - 1e-6;
          return Math.abs(amps * (volts - amps * ohm) - watts) < 1e-6 * watts;
        },
      ),
    );
  });
});

describe('hot surroundings', () => {
  test('an engine space at 70 °C leaves 184 A of 50 mm², by the formula, not the published 0.86', () => {
    const reading = ampacityMetric({ copperMm2: 50, limitC: 105, ambientC: 70, engineSpace: true });
    expect(reading?.ambientFactor).toBeCloseTo(0.683, 3);
    expect(reading?.allowedA).toBeCloseTo(184, 0);
  });
  test('an engine space said to be at 30 °C still takes the published factor', () =>
    expect(
      ampacityInch({ copperMm2: 53.5, limitC: 105, ambientC: 30, engineSpace: true })?.ambientFactor,
    ).toBe(0.85));
  test('air as hot as the limit leaves nothing', () => expect(ambientFactor(90, 90, 30)).toBe(0));
  test('cold air allows no more than the table', () => expect(ambientFactor(90, -10, 30)).toBe(1));
});

describe('reading the tables', () => {
  test('50 mm² reads the row of AWG 1, the largest that is not larger', () => {
    const reading = ampacityInch({ copperMm2: 50, limitC: 105, ambientC: 30, engineSpace: false });
    expect(reading).toMatchObject({ row: '1', columnC: 105, tableA: 245, allowedA: 245 });
  });
  test('a 90 °C termination puts a 105 °C cable in the 85 °C column of the metric table', () =>
    expect(ampacityMetric({ copperMm2: 70, limitC: 90, ambientC: 30, engineSpace: false })).toMatchObject({
      columnC: 85,
      tableA: 285,
    }));
  test('the 60 °C column of the metric table rests on 45 °C air', () =>
    expect(ampacityMetric({ copperMm2: 70, limitC: 60, ambientC: 45, engineSpace: false })?.allowedA).toBe(
      135,
    ));
  test('a conductor thinner than every row, or a limit under every column, has no reading', () => {
    expect(ampacityMetric({ copperMm2: 0.5, limitC: 105, ambientC: 30, engineSpace: false })).toBeNull();
    expect(ampacityInch({ copperMm2: 50, limitC: 50, ambientC: 30, engineSpace: false })).toBeNull();
  });
  test('five loaded cables in a bundle keep 0.6, two as a touching pair, thirty 0.4', () =>
    expect([5, 2, 30].map((n) => placingFactor('bundle', n))).toEqual([0.6, 0.88, 0.4]));
});

describe('heat made is heat lost', () => {
  test('200 A settles 50 mm² at 71.5 °C in still air of 35 °C', () =>
    expect(Math.abs((steadyTemperature(plain('50', 13.3), shade(35), 200) ?? 0) - 71.5)).toBeLessThan(1));
  test('70 mm² at 105 °C in 50 °C air carries 311 A', () =>
    expect(ampacityByHeatBalance(plain('70', 15.5), shade(50), 105) / 311).toBeCloseTo(1, 2));
  test('no current is the temperature of the air', () =>
    expect(steadyTemperature(plain('50', 13.3), shade(35), 0)).toBe(35));
  test('sun warms an unloaded cable and takes amps away', () => {
    const sun = { ambientC: 35, sunWPerM2: 900 };
    expect(steadyTemperature(plain('50', 13.3), sun, 0)).toBeGreaterThan(50);
    expect(ampacityByHeatBalance(plain('50', 13.3), sun, 90)).toBeLessThan(
      ampacityByHeatBalance(plain('50', 13.3), shade(35), 90),
    );
  });
  test('air hotter than the limit carries nothing', () =>
    expect(ampacityByHeatBalance(plain('50', 13.3), shade(95), 90)).toBe(0));
  test('a current no surface can shed has no steady temperature', () =>
    expect(steadyTemperature(plain('10', 7.5), shade(30), 2000)).toBeNull());
  test('temperature and amps are each other’s inverse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: -20, max: 60, noNaN: true }),
        (amps, air) => {
          const cable = plain('70', 15.5);
          const settled = steadyTemperature(cable, shade(air), amps);
          return (
            settled !== null && Math.abs(ampacityByHeatBalance(cable, shade(air), settled) - amps) < 0.01
          );
        },
      ),
    );
  });
  test('lies within −0 … +20 % of the metric table for 16–120 mm² at 105 °C', () => {
    const outer: Record<string, number> = {
      '16': 8.6,
      '25': 10.2,
      '35': 11.6,
      '50': 13.3,
      '70': 15.5,
      '95': 17.6,
      '120': 19.5,
    };
    for (const [name, outerMm] of Object.entries(outer)) {
      const copperMm2 = Number(name);
      const table =
        ampacityMetric({ copperMm2, limitC: 105, ambientC: 30, engineSpace: false })?.allowedA ?? 0;
      const balance = ampacityByHeatBalance(plain(name as '50', outerMm), shade(30), 105);
      expect(balance / table).toBeGreaterThan(0.99);
      expect(balance / table).toBeLessThan(1.2);
    }
  });
});

describe('a surge', () => {
  test('600 A for 12 s takes 70 mm² from 40 to 44.3 °C', () => {
    const samples = followSteps(plain('70', 15.5), shade(40), [{ currentA: 600, seconds: 12 }], {
      conductorC: 40,
      currentA: 0,
    });
    expect(Math.abs(hottest(samples).conductorC - 44.3)).toBeLessThan(0.7);
    expect(samples.at(-1)?.seconds).toBeCloseTo(12, 6);
  });
  test('300 A for 180 s then 20 A for 600 s, again and again, peaks at 60.5 °C', () => {
    const cable = plain('50', 13.3);
    const cycle = [
      { currentA: 300, seconds: 180 },
      { currentA: 20, seconds: 600 },
    ];
    const samples = settleCycle(cable, shade(30), cycle, (amps) => steadyTemperature(cable, shade(30), amps));
    expect(samples).not.toBeNull();
    expect(Math.abs(hottest(samples ?? []).conductorC - 60.5)).toBeLessThan(1);
    expect(samples?.at(-1)?.conductorC).toBeCloseTo(samples?.[0]?.conductorC ?? 0, 1);
  });
  test('a cycle whose effective current never settles has no cycle', () =>
    expect(
      settleCycle(plain('10', 7.5), shade(30), [{ currentA: 2000, seconds: 60 }], () => null),
    ).toBeNull());
  test('a current held long enough comes to its steady temperature', () => {
    const settled = steadyTemperature(plain('50', 13.3), shade(30), 150) ?? 0;
    const samples = followSteps(plain('50', 13.3), shade(30), [{ currentA: 150, seconds: 14400 }], {
      conductorC: 30,
      currentA: 0,
    });
    expect(samples.at(-1)?.conductorC).toBeCloseTo(settled, 1);
  });
  test('a cable that starts settled under its own load stays where it is', () => {
    const settled = steadyTemperature(plain('50', 13.3), shade(30), 150) ?? 0;
    const samples = followSteps(plain('50', 13.3), shade(30), [{ currentA: 150, seconds: 300 }], {
      conductorC: settled,
      currentA: 150,
    });
    expect(samples.at(-1)?.conductorC).toBeCloseTo(settled, 2);
  });
});

describe('what a duty is worth', () => {
  const cable = plain('50', 13.3);
  const start = { conductorC: 30, currentA: 0 };
  const bow = {
    steps: [
      { amps: 300, seconds: 180 },
      { amps: 20, seconds: 600 },
    ],
    repeats: true,
    dropPercent: 10,
  };
  test('the steady amps that are as hot give the same temperature', () => {
    const cycle = dutyCycle(cable, shade(30), bow, start, 90, 1);
    expect(steadyTemperature(cable, shade(30), cycle?.equivalentA ?? 0)).toBeCloseTo(cycle?.peakC ?? 0, 3);
    expect(cycle?.peakAtS).toBeCloseTo(180, 3);
  });
  test('side by side or worse placed, the amps are shared or weigh more', () => {
    const alone = dutyCycle(cable, shade(30), bow, start, 90, 1);
    const two = dutyCycle(cable, shade(30), bow, start, 90, 2);
    const conduit = dutyCycle(cable, shade(30), bow, start, 90, 0.7);
    expect(two?.peakC).toBeLessThan(alone?.peakC ?? 0);
    expect(conduit?.peakC).toBeGreaterThan(alone?.peakC ?? 0);
  });
  test('how long the heaviest step may last, and that a light one may last for ever', () => {
    const cycle = dutyCycle(cable, shade(30), bow, start, 90, 1);
    expect(cycle?.secondsToLimit).toBeGreaterThan(180);
    const light = { ...bow, steps: [{ amps: 60, seconds: 100 }] };
    expect(dutyCycle(cable, shade(30), light, start, 90, 1)?.secondsToLimit).toBeNull();
  });
  test('a hundred steps are thinned for drawing, and keep their peak', () => {
    const many = {
      ...bow,
      steps: Array.from({ length: 100 }, (_, i) => ({ amps: 50 + ((i * 53) % 250), seconds: 20 })),
    };
    const cycle = dutyCycle(cable, shade(30), many, start, 90, 1);
    expect(cycle?.samples.length).toBeLessThan(300);
    expect(hottest(cycle?.samples ?? []).conductorC).toBe(cycle?.peakC);
  });
});

describe('the solvers', () => {
  test('find √2', () => expect(rootBetween((x) => x * x - 2, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 10));
  test('refuse a bracket without a root', () =>
    expect(() => rootBetween((x) => x * x + 1, -1, 1, 1e-9)).toThrow(RangeError));
  test('solve a chain of two', () => {
    const right = Float64Array.of(1, 0);
    solveChain(Float64Array.of(2, 2), Float64Array.of(1), right);
    expect(right[0]).toBeCloseTo(2 / 3, 12);
    expect(right[1]).toBeCloseTo(1 / 3, 12);
  });
});
