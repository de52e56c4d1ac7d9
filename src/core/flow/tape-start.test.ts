import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { startFromTape } from './tape-start';

const stretch = (fromCm: number, toCm: number, excessMl: number | null) => ({ fromCm, toCm, excessMl });
const start = (limb: 'arm' | 'leg', ...stretches: readonly ReturnType<typeof stretch>[]) =>
  startFromTape(anatomy, { limb, side: 'left', stretches });
const sum = (found: Readonly<Record<string, number>> | undefined) =>
  Object.values(found ?? {}).reduce((all, ml) => all + ml, 0);

describe('a replay after a tape run', () => {
  it('begins with the excess at its height, by hand placements', () => {
    expect(start('leg', stretch(8, 12, 80))).toEqual({ 'calf-lower.left': 40, 'shin-lower.left': 40 });
    expect(start('arm', stretch(0, 3, 12))).toEqual({ 'wrist.left': 12 });
  });

  it('parts a stretch that lies over a border', () => {
    const found = start('leg', stretch(18, 22, 40));
    expect(found?.['shin-lower.left']).toBeCloseTo(10, 9);
    expect(found?.['shin-upper.left']).toBeCloseTo(10, 9);
  });

  it('lets what is smaller than the other side hold nothing, and says so where nothing holds more', () => {
    expect(sum(start('leg', stretch(8, 12, 30), stretch(12, 16, -20)))).toBeCloseTo(30, 9);
    expect(start('leg', stretch(8, 12, -5), stretch(12, 16, 0))).toBeUndefined();
    expect(start('leg', stretch(8, 12, null))).toBeUndefined();
    expect(start('leg')).toBeUndefined();
  });

  it('finds the knee lower on a shorter leg, and where it was on a lower leg alone', () => {
    const knee = (topCm: number) => sum(start('leg', stretch(36, 37, 10), stretch(topCm - 1, topCm, 0))) > 0;
    expect(knee(68)).toBe(true);
    const at = (topCm: number) =>
      Object.keys(
        startFromTape(anatomy, {
          limb: 'leg',
          side: 'left',
          stretches: [stretch(31, 32, 10), stretch(topCm - 1, topCm, 0)],
        }) ?? {},
      );
    expect(at(60)).toContain('knee-front.left');
    expect(at(34)).toContain('calf-upper.left');
  });

  it('never touches the other side, hand or foot, and keeps every millilitre', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('arm' as const, 'leg' as const),
        fc.array(fc.integer({ min: -40, max: 90 }), { minLength: 2, maxLength: 9 }),
        (limb, excesses) => {
          const found = start(limb, ...excesses.map((ml, i) => stretch(4 * i, 4 * (i + 1), ml)));
          const positive = excesses.reduce((all, ml) => all + Math.max(0, ml), 0);
          expect(sum(found)).toBeCloseTo(positive, 6);
          for (const place of Object.keys(found ?? {})) {
            expect(place.endsWith('.left')).toBe(true);
            expect(['foot-top', 'heel', 'sole', 'toes', 'hand-back', 'palm', 'fingers']).not.toContain(
              place.split('.')[0],
            );
          }
        },
      ),
    );
  });
});
