import { tell } from '../core/words/message.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { type Measured, measureSection, scaleSection, type SectionMeasure } from '../core/section/measure.ts';
import { acrossFlatsPx, type Outline } from '../core/section/hexagon.ts';
import { type Picture, reduced } from '../core/section/picture.ts';
import { hexagonMm2 } from '../core/termination/dies/dieOnLug.ts';
import { isThereTime } from '../core/lib/casesFixture.ts';
import { decodePicture } from './decodePicture.ts';
import { drawnSections } from './drawnSections.ts';
import { sectionsFound } from './section.ts';
import { type SpoiltSection, spoiltSection } from './spoiltSections.ts';

interface Truth {
  readonly file: string;
  readonly voidShare: number;
  readonly acrossFlatsMm: number;
  readonly outlineBox: readonly number[];
}
const DIR = 'demo/sections/';
const { pictures } = JSON.parse(readFileSync(`${DIR}truth.json`, 'utf8')) as { pictures: Truth[] };
interface Printed {
  readonly file: string;
  readonly voidShare: number;
  readonly largestShare: number;
  readonly outlineBox: readonly number[];
  readonly wallEvenness: number | null;
  readonly roundShare: number | null;
}
const printed = (...args: string[]) => {
  const answer = sectionsFound(args);
  if (answer.code !== 0) throw new Error(answer.sentence);
  return JSON.parse(answer.printed) as (Printed & { refused?: string; sentence?: string })[];
};
const found = printed(...pictures.map(({ file }) => DIR + file));
const all = pictures.map((truth, i) => ({ truth, section: found[i] as Printed }));

/** A picture of the ten, a quarter as large each way. */
function quarterOf(file: string): Picture {
  const picture = decodePicture(readFileSync(DIR + file));
  if (!picture) throw new Error(`${file} should be a picture`);
  return reduced(picture, 350).picture;
}
const sectionOf = (measured: Measured): SectionMeasure => {
  if (!measured.ok) throw new Error(tell(measured.sentence));
  return measured.section;
};
const refusedOf = (picture: Picture) => {
  const measured = measureSection(picture);
  return measured.ok ? `measured ${measured.section.voidShare}` : measured.refused;
};

/** A picture of one colour a pixel. */
const drawn = (width: number, height: number, at: (x: number, y: number) => readonly number[]): Picture => {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i += 1) {
    const [r = 0, g = 0, b = 0] = at(i % width, Math.floor(i / width));
    data.set([r, g, b, 255], i * 4);
  }
  return { width, height, data };
};
const cropped = ({ width, data }: Picture, left: number, top: number, w: number, h: number): Picture =>
  drawn(w, h, (x, y) => [
    ...data.slice(((y + top) * width + x + left) * 4, ((y + top) * width + x + left) * 4 + 3),
  ]);

describe('ten pictures of sawn crimps, by themselves', () => {
  test.each(all.map(({ truth, section }) => [truth.file, section.voidShare, truth.voidShare] as const))(
    '%s is within 0.8 points of its void share',
    (_file, found, truth) => {
      expect(Math.abs(found - truth)).toBeLessThan(0.008);
    },
  );

  test('on average they are within 0.3 points', () => {
    const off = all.map(({ truth, section }) => Math.abs(section.voidShare - truth.voidShare));
    expect(off.reduce((sum, own) => sum + own, 0) / off.length).toBeLessThan(0.003);
  });

  test('each outline lies within 2 % of the picture of where it is', () => {
    for (const { truth, section } of all) {
      section.outlineBox.forEach((edge, i) =>
        expect(Math.abs(edge - (truth.outlineBox[i] ?? 0))).toBeLessThan(0.01 * 1400),
      );
    }
  });

  test('the largest void is a part of all of them, and none where there is none', () => {
    for (const { section } of all) {
      expect(section.largestShare).toBeLessThanOrEqual(section.voidShare);
      expect(section.largestShare > 0).toBe(section.voidShare > 0);
    }
  });
});

describe('the same out of focus', () => {
  const fine = pictures
    .filter(({ voidShare }) => voidShare > 0.02 && voidShare < 0.13)
    .slice(0, isThereTime ? 3 : 1);
  test('by two pixels none reads 1.5 points too low and is not refused', () => {
    const soft = printed('--blur', '2', ...fine.map(({ file }) => DIR + file));
    for (const [i, { file, voidShare, refused }] of soft.entries())
      expect([file, refused !== undefined || voidShare > (fine[i]?.voidShare ?? 0) - 0.015]).toEqual([
        file,
        true,
      ]);
    expect(soft.filter(({ refused }) => refused === 'not sharp').length).toBeGreaterThan(isThereTime ? 1 : 0);
  });
});

describe('pictures as cameras spoil them', () => {
  // More of them, and larger, where time is no matter.
  const [phone, any, widest] = isThereTime ? [6, 4, 1200] : [2, 2, 900];
  const many = (kind: SpoiltSection['kind'], count: number) =>
    Array.from({ length: count }, (_, i) => spoiltSection(kind, 700 + i, widest));
  const all = [...many('phone', phone), ...many('any', any)];
  test('what is answered lies between its bounds, and what hides air is refused', () => {
    const answered = all.filter(({ refused }) => refused === null);
    for (const { seed, drawn, least, most } of answered)
      expect([seed, drawn >= least && drawn <= most]).toEqual([seed, true]);
    expect(answered.length).toBeGreaterThanOrEqual(3);
    expect(answered.length).toBeLessThan(all.length);
  });
  test('those of a phone are answered', () =>
    expect(all.filter(({ kind, refused }) => kind === 'phone' && refused !== null)).toEqual([]));
});

describe('drawn sections, whose air and shape are known', () => {
  const cases = drawnSections(isThereTime ? 900 : 640);
  const of = (name: string) => {
    const found = cases.find((own) => own.name === name);
    if (!found) throw new Error(name);
    return found;
  };
  test('are measured within 0.6 points of what was drawn, stage by stage', () => {
    for (const measured of cases) {
      if (measured.refused !== undefined || measured.hidden) continue;
      const { drawn, voidShare, acrossFlats, everyStage } = measured;
      expect(Math.abs(voidShare - drawn)).toBeLessThan(0.006);
      expect(acrossFlats).toBeCloseTo(1, 1);
      expect(everyStage).toBe(true);
    }
  });
  test('strands off the middle show in the wall, strands in the middle do not', () => {
    expect(of('little air').wallEvenness).toBeGreaterThan(0.8);
    expect(of('askew').wallEvenness).toBeLessThan(0.7);
  });
  test('strands that were hardly pressed are still round, pressed ones are not', () => {
    expect(of('open').roundShare).toBeGreaterThan(0.4);
    expect(of('little air').roundShare).toBeLessThan(0.3);
    expect(of('no air').roundShare).toBe(0);
  });
  test('gaps full of solder or dust are no packed ones', () => {
    for (const name of ['solder in the gaps', 'dust in the gaps']) {
      expect(of(name).voidShare).toBeLessThan(0.03);
      expect(of(name).hidden).toBe('pale');
    }
    expect(cases.filter(({ hidden }) => hidden).length).toBe(2);
  });
  test('one that lost its colours, or was taken in coloured light, is refused', () => {
    expect(of('red alone').refused).toBe('spoilt colours');
    expect(of('blue light').refused).toBe('spoilt colours');
  });
});

describe('the ten pictures, their shape', () => {
  test('packed ones keep few strands round, open ones many', () => {
    const round = (i: number) => all[i]?.section.roundShare ?? Number.NaN;
    for (const packed of [0, 1, 2, 3, 4, 5]) expect(round(packed)).toBeLessThan(0.3);
    for (const open of [6, 7, 8, 9]) expect(round(open)).toBeGreaterThan(0.35);
  });
  test('the wall is seen on each of them, thinner on one side where the strands lie off the middle', () => {
    const even = (i: number) => all[i]?.section.wallEvenness ?? Number.NaN;
    for (const i of all.keys()) expect(even(i)).toBeGreaterThan(0.5);
    expect(even(9)).toBeGreaterThan(0.85);
    expect(even(6)).toBeLessThan(0.75);
  });
});

describe('a section by hand and to scale', () => {
  const truth = pictures[9] as Truth;
  const picture = quarterOf(truth.file);
  const section = sectionOf(measureSection(picture));

  test('a quarter of the pixels each way says much the same', () => {
    expect(Math.abs(section.voidShare - truth.voidShare)).toBeLessThan(0.02);
  });

  test('an outline given by hand measures as the same outline found', () => {
    const again = sectionOf(measureSection(picture, section));
    expect(again.voidShare).toBeCloseTo(section.voidShare, 6);
  });

  test('a wider outline takes in bench and says another share', () => {
    const [cx, cy] = [0, 1].map((c) => section.outline.reduce((sum, spot) => sum + (spot[c] ?? 0), 0) / 6);
    const wider = section.outline.map(([x, y]) => [
      (cx ?? 0) + 1.1 * (x - (cx ?? 0)),
      (cy ?? 0) + 1.1 * (y - (cy ?? 0)),
    ]) as unknown as Outline;
    expect(acrossFlatsPx(wider)).toBeCloseTo(1.1 * section.acrossFlatsPx, 3);
    const own = sectionOf(measureSection(picture, { outline: wider, cutPx: section.cutPx }));
    expect(own.voidShare).toBeLessThan(section.voidShare);
    expect(own.voids.insidePx).toBeGreaterThan(1.15 * section.voids.insidePx);
  });

  test('the across flats gives its scale, and the wall its packing', () => {
    const scaled = scaleSection(section, truth.acrossFlatsMm, 60);
    expect(scaled.outlineMm2 / hexagonMm2(truth.acrossFlatsMm)).toBeGreaterThan(0.97);
    expect(scaled.outlineMm2 / hexagonMm2(truth.acrossFlatsMm)).toBeLessThan(1.01);
    expect(scaled.voidMm2).toBeCloseTo(section.voidShare * scaled.outlineMm2, 9);
    expect(scaled.kappa).toBeCloseTo(
      1 - (section.voidShare * scaled.outlineMm2) / (scaled.outlineMm2 - 60),
      9,
    );
    expect(scaleSection(section, truth.acrossFlatsMm, null).kappa).toBeNull();
    expect(() => scaleSection(section, truth.acrossFlatsMm, 1000)).toThrow(RangeError);
  });
});

describe('what is no section is refused', () => {
  const whole = quarterOf('section-04.jpg');
  test('an empty bench, plain or with grain', () => {
    expect(refusedOf(drawn(500, 400, () => [120, 110, 100]))).toBe('no metal');
    const grain = (x: number, y: number) => 100 + ((x * 7919 + y * 104_729) % 23);
    expect(refusedOf(drawn(500, 400, (x, y) => [grain(x, y), grain(y, x), grain(x + y, x)]))).toBe(
      'no metal',
    );
  });

  test('a section that runs out of the picture', () => {
    expect(['cut off', 'no metal', 'no outline']).toContain(refusedOf(cropped(whole, 125, 0, 225, 262)));
  });

  test('a picture far too small', () => {
    expect(refusedOf(drawn(80, 60, () => [200, 100, 60]))).toBe('too small');
  });

  test('a bar where a hexagon should be', () => {
    const bar = drawn(700, 500, (x, y) =>
      x > 100 && x < 600 && y > 220 && y < 280 ? [205, 115, 80] : [90, 95, 100],
    );
    expect(refusedOf(bar)).toBe('no outline');
  });

  test('one that is out of focus', () => {
    const { width, height, data } = whole;
    const reach = 6;
    const row = new Float32Array(width * height * 3);
    const blurred = new Uint8ClampedArray(data.length);
    for (let y = 0; y < height; y += 1)
      for (let c = 0; c < 3; c += 1) {
        let sum = 0;
        for (let x = -reach; x < width + reach; x += 1) {
          const at = (k: number) => data[(y * width + Math.max(0, Math.min(width - 1, k))) * 4 + c] ?? 0;
          sum += at(x + reach) - (x > -reach ? at(x - reach - 1) : 0);
          if (x >= 0 && x < width) row[(y * width + x) * 3 + c] = sum / (2 * reach + 1);
        }
      }
    for (let x = 0; x < width; x += 1)
      for (let c = 0; c < 3; c += 1) {
        let sum = 0;
        for (let y = -reach; y < height + reach; y += 1) {
          const at = (k: number) => row[(Math.max(0, Math.min(height - 1, k)) * width + x) * 3 + c] ?? 0;
          sum += at(y + reach) - (y > -reach ? at(y - reach - 1) : 0);
          if (y >= 0 && y < height) blurred[(y * width + x) * 4 + c] = sum / (2 * reach + 1);
        }
      }
    expect(['too blurred', 'no outline']).toContain(refusedOf({ width, height, data: blurred }));
  });

  test('a file that is no picture', () => {
    expect(printed('README.md')[0]).toMatchObject({ file: 'README.md', refused: 'no picture' });
    expect(decodePicture(new TextEncoder().encode('no picture at all'))).toBeNull();
    expect(decodePicture(Uint8Array.from([0xff, 0xd8, 0xff, 0, 1, 2]))).toBeNull();
  });
});
