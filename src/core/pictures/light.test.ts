import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareLight, lightOf, lightOfPair } from './light';

const evenly = (value: number, width: number, rows: number, channels: 3 | 4) =>
  new Uint8Array(width * rows * channels).fill(value);
const light = (leftPercent: number, rightPercent: number) => ({ leftPercent, rightPercent });

describe('how light a picture is', () => {
  it('is nothing for black and all for white, with or without opacity', () => {
    expect(lightOf(evenly(0, 8, 6, 3), 8, 3)).toEqual(light(0, 0));
    const white = lightOf(evenly(255, 8, 6, 4), 8, 4);
    expect(white.leftPercent).toBeCloseTo(100, 9);
    expect(white.rightPercent).toBeCloseTo(100, 9);
  });

  it('takes green for brighter than red, and red for brighter than blue', () => {
    const of = (colour: readonly number[]) => lightOf([...colour, ...colour], 2, 3).leftPercent;
    expect(of([0, 255, 0])).toBeGreaterThan(of([255, 0, 0]));
    expect(of([255, 0, 0])).toBeGreaterThan(of([0, 0, 255]));
  });

  it('keeps the halves apart, the middle column of an uneven width with the right', () => {
    const row = [0, 255, 255].flatMap((value) => [value, value, value]);
    const { leftPercent, rightPercent } = lightOf([...row, ...row], 3, 3);
    expect(leftPercent).toBe(0);
    expect(rightPercent).toBeCloseTo(100, 9);
  });

  it('is the other way round when the picture is', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 24, maxLength: 24 }), (greys) => {
        const width = 4;
        const rows = Array.from({ length: 6 }, (_, y) => greys.slice(y * width, (y + 1) * width));
        const bytes = (of: readonly (readonly number[])[]) => of.flat().flatMap((grey) => [grey, grey, grey]);
        const straight = lightOf(bytes(rows), width, 3);
        const turned = lightOf(bytes(rows.map((row) => row.toReversed())), width, 3);
        expect(turned.leftPercent).toBeCloseTo(straight.rightPercent, 9);
        expect(turned.rightPercent).toBeCloseTo(straight.leftPercent, 9);
      }),
    );
  });
});

describe('two pictures in their light', () => {
  it.each([
    [light(50, 50), light(50, 50), 'same', 0],
    [light(50, 50), light(44, 44), 'same', 6],
    [light(50, 50), light(43, 43), 'darker', 7],
    [light(50, 50), light(70, 60), 'brighter', 15],
    [light(60, 40), light(40, 60), 'other-side', 40],
    [light(50, 50), light(20, 34), 'darker', 23],
  ])('from %o to %o: %s', (before, now, word, points) => {
    expect(compareLight(before, now)).toEqual({ word, points });
  });
});

describe('a pair', () => {
  it('says what its light allows to compare', () => {
    expect(lightOfPair(light(50, 50), light(30, 30))?.words).toBe(
      'The later one is 20 % darker: compare shapes, not colours.',
    );
    expect(lightOfPair(light(30, 30), light(50, 50))?.words).toContain('brighter');
    expect(lightOfPair(light(50, 50), light(50, 50))?.words).toBe('Taken in the same light.');
    expect(lightOfPair(light(70, 30), light(30, 70))?.words).toContain('another side');
  });

  it('says nothing where one was kept before light was measured', () => {
    expect(lightOfPair(null, light(50, 50))).toBeUndefined();
    expect(lightOfPair(light(50, 50), null)).toBeUndefined();
  });
});
