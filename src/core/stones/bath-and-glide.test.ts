import type { Celsius } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { airSeconds, batchSeconds, dipC, readySeconds, recoverSeconds } from './bath';
import { type MaterialId, type SizeId, sizeIds } from './book';
import { glideModel, glideOf } from './glide';
import { shapeOf, type StoneSize } from './shape';

const { physics, materials } = book;
const shape = (material: MaterialId, size: StoneSize) => shapeOf(size, materials[material], physics.thomsenExponent);
const usual = { lengthMm: 80, widthMm: 60, thicknessMm: 25 };
const basalt = shape('basalt', usual);
const within = (value: number | null | undefined, expected: number, share = 0.02) =>
  expect(Math.abs((value ?? NaN) - expected), `${value} for ${expected}`).toBeLessThanOrEqual(
    Math.max(1, expected * share),
  );

describe('a stone’s measures', () => {
  it('come from an ellipsoid', () => {
    expect(basalt.volumeM3 * 1e6).toBeCloseTo(62.8, 1);
    expect(basalt.surfaceM2 * 1e4).toBeCloseTo(93.8, 1);
    expect(basalt.massKg * 1000).toBeCloseTo(182.2, 1);
    expect(basalt.heatJK).toBeCloseTo(153.1, 1);
    expect(basalt.areaM2 * 1e4).toBeCloseTo(37.7, 1);
    expect(basalt.meanThicknessM * 1000).toBeCloseTo(16.67, 2);
    expect(basalt.lengthM * 1000).toBeCloseTo(6.697, 3);
  });

  it('follow a weighed mass', () => {
    const heavier = shape('basalt', { ...usual, massG: 205 });
    expect(heavier.fullness).toBeCloseTo(1.125, 3);
    within(readySeconds(heavier, materials.basalt, physics, { startC: 21, bathC: 54, toleranceC: 1 }), 450);
  });
});

describe('a bath', () => {
  const ready = (startC: Celsius, bathC = 54) =>
    readySeconds(basalt, materials.basalt, physics, { startC, bathC, toleranceC: 1 });

  it('warms a stone to its centre', () => {
    expect(ready(21)).toBeCloseTo(422.1, 1);
    expect(ready(42)).toBeCloseTo(316.9, 1);
    expect([ready(53.5), ready(54)]).toEqual([0, 0]);
  });

  it('sinks when cold stones go in, and recovers', () => {
    const load = { count: 12, startC: 21, bathC: 54, waterLitres: 6, heaterW: 500 };
    expect(dipC(basalt.heatJK, physics, load)).toBeCloseTo(2.277, 3);
    expect(recoverSeconds(basalt.heatJK, physics, load)).toBeCloseTo(137.8, 1);
    expect(Math.round(batchSeconds(422.1, 137.8))).toBe(450);
    expect(recoverSeconds(basalt.heatJK, physics, { ...load, heaterW: 50 })).toBeNull();
    expect(recoverSeconds(basalt.heatJK, physics, { ...load, startC: 21, bathC: 8 })).toBeNull();
    expect(recoverSeconds(basalt.heatJK, physics, { ...load, startC: 54 })).toBe(0);
  });

  it('is left for the air slowly', () => {
    within(airSeconds(basalt, physics, 53, 52, 24), 57);
    expect(airSeconds(basalt, physics, 53, 20, 24)).toBeUndefined();
  });

  it('never warms a thicker stone sooner, nor with a smaller tolerance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 30, max: 60 }), (thicknessMm, bathC) => {
        const times = [thicknessMm, thicknessMm + 4].map((one) =>
          readySeconds(shape('basalt', { ...usual, thicknessMm: one }), materials.basalt, physics, {
            startC: 20,
            bathC,
            toleranceC: 1,
          }),
        );
        expect(times[1]).toBeGreaterThan(times[0] ?? 0);
      }),
    );
  });
});

describe('a gliding stone', () => {
  const glide = (flip: boolean) => glideOf(basalt, materials.basalt, physics, { startC: 52, usefulC: 42, flip });

  it('cools on the side that touches, and is turned once', () => {
    const [plain, turned] = [glide(false), glide(true)];
    within(plain.usefulSeconds, 119.2, 0.005);
    within(turned.usefulSeconds, 148.7, 0.005);
    const at = (s: number) => turned.curve.find((point) => point.s === s);
    for (const [s, contactC, otherC] of [
      [30, 48.1, 50.43],
      [60, 45.46, 48.55],
      [90, 43.5, 46.68],
    ] as const) {
      expect(at(s)?.contactC).toBeCloseTo(contactC, 1);
      expect(at(s)?.otherC).toBeCloseTo(otherC, 1);
    }
    expect(turned.curve[0]?.faceC).toBeCloseTo(45.58, 2);
    expect(turned.curve.at(-1)?.contactC).toBeCloseTo(42, 6);
    expect(turned.curve.at(-1)?.otherC).toBeCloseTo(41.87, 2);
  });

  it('comes to rest a little above the skin', () => {
    const [contact] = glideModel(basalt, materials.basalt, physics).after([52, 52])(1e6);
    expect(contact).toBeCloseTo(33.18, 2);
    expect(
      glideOf(basalt, materials.basalt, physics, { startC: 52, usefulC: 33, flip: true }).usefulSeconds,
    ).toBeNull();
  });

  it('is useless where it starts beyond its limit', () => {
    const none = glideOf(basalt, materials.basalt, physics, { startC: 42, usefulC: 42, flip: true });
    expect([none.usefulSeconds, none.curve.length]).toEqual([0, 1]);
  });

  it('works the other way round when it is cold', () => {
    const marble = shape('marble', { lengthMm: 60, widthMm: 50, thicknessMm: 20 });
    within(
      glideOf(marble, materials.marble, physics, { startC: 8, usefulC: 18, flip: true }).usefulSeconds,
      64.9,
      0.005,
    );
  });

  const table: Readonly<Record<SizeId, readonly number[]>> = {
    placement: [149, 189, 586, 439, 106, 328],
    large: [137, 172, 512, 384, 97, 287],
    palm: [114, 141, 388, 292, 81, 220],
    small: [72, 85, 202, 152, 50, 119],
    edge: [103, 126, 318, 237, 73, 183],
    toe: [43, 48, 97, 72, 29, 60],
    facial: [34, 37, 83, 62, 23, 53],
  };
  it.each(sizeIds)('takes the known times as a %s stone', (size) => {
    const [plain, turned, warm, again, cold, chill] = table[size];
    const [hot, cool] = [shape('basalt', book.sizes[size]), shape('marble', book.sizes[size])];
    const glides = (flip: boolean) =>
      glideOf(hot, materials.basalt, physics, { startC: 52, usefulC: 42, flip }).usefulSeconds;
    within(glides(false), plain ?? 0, 0.005);
    within(glides(true), turned ?? 0, 0.005);
    const bath = (startC: Celsius) =>
      readySeconds(hot, materials.basalt, physics, { startC, bathC: 54, toleranceC: 1 });
    within(bath(21), warm ?? 0, 0.005);
    within(bath(42), again ?? 0, 0.005);
    within(
      glideOf(cool, materials.marble, physics, { startC: 8, usefulC: 18, flip: true }).usefulSeconds,
      cold ?? 0,
      0.005,
    );
    within(readySeconds(cool, materials.marble, physics, { startC: 21, bathC: 8, toleranceC: 1 }), chill ?? 0, 0.005);
  });
});
