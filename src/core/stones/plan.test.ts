import type { Seconds } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { cueAt, cuesOf, isSaidNow } from './cues';
import { bathForVisit, firstTouchOf, type StoneClient } from './first-touch';
import { stoneStepsOf } from '../table/stone-steps';
import { usualHabits } from './habits';
import { restingTime } from './resting';
import { rotate } from './rotation';
import { shapeOf } from './shape';
import { stepTimes } from './step-times';
import { judgeBath, readThermometer } from './thermometer';
import { stoneUseOf } from './use';
import { warmUpSeconds } from './warm-up';
import { waysOut } from './ways-out';

const client = (change: Partial<StoneClient> = {}): StoneClient => ({
  skin: 'normal',
  mostC: null,
  likes: '',
  lastRemark: null,
  ...change,
});
const touch = (change: Partial<StoneClient> = {}) => firstTouchOf(book.limits, client(change), 'moving', 0).firstC;

describe('the first touch', () => {
  it('is the limit of practice, lowered by screening, by liking and by what was said last time', () => {
    expect(touch()).toBe(52);
    expect(touch({ skin: 'thin' })).toBe(48);
    expect(touch({ mostC: 47 })).toBe(47);
    expect(touch({ likes: 'cooler' })).toBe(49);
    expect(touch({ lastRemark: 2 })).toBe(50);
    expect(touch({ likes: 'cooler', lastRemark: 1 })).toBe(48);
    expect(firstTouchOf(book.limits, client(), 'still', 1).firstC).toBe(50);
  });

  it('never goes above what practice and screening allow, whatever is liked', () => {
    const any = fc.record({
      skin: fc.constantFrom('normal', 'thin', 'thick') as fc.Arbitrary<StoneClient['skin']>,
      mostC: fc.option(fc.integer({ min: 38, max: 60 })),
      likes: fc.constantFrom('', 'cooler', 'usual', 'warmer') as fc.Arbitrary<StoneClient['likes']>,
      lastRemark: fc.option(fc.integer({ min: -2, max: 2 })),
    });
    fc.assert(
      fc.property(any, (one) => {
        const most = Math.min(book.limits.firstContactC.moving[one.skin], one.mostC ?? Infinity);
        expect(firstTouchOf(book.limits, one, 'moving', 0).firstC).toBeLessThanOrEqual(most);
      }),
    );
  });
});

describe('what a plan asks of the stones', () => {
  const stones = { size: 'palm', isCold: false, mode: 'moving', count: 2, towelLayers: 0 } as const;
  const step = (id: string, seconds: Seconds, told: object | undefined, setupSeconds = 0) =>
    ({ id, seconds, setupSeconds, told: told && { block: 'back', stones, ...told } }) as Parameters<
      typeof stoneStepsOf
    >[0][number];

  const asked = (steps: Parameters<typeof stoneStepsOf>[0], isCold = false, touchOf = () => 50) =>
    stoneStepsOf(steps, isCold, usualHabits, touchOf, ({ size }) => size);

  it('goes on with the stones in the hand where the technique keeps them and they are of the same kind', () => {
    const kept = { stones: { ...stones, keep: true } };
    const steps = [
      step('fresh', 60, {}, 30),
      step('kept', 40, kept),
      step('one only', 20, { stones: { ...stones, keep: true, count: 1 } }),
      step('edge', 20, { stones: { ...stones, keep: true, size: 'edge' } }),
      step('bare hands', 50, undefined),
      step('after a short pause', 20, { stones: { ...stones, keep: true, size: 'edge' } }),
      step('bare hands again', 61, undefined),
      step('after a long one', 20, { stones: { ...stones, keep: true, size: 'edge' } }),
      step('cool', 30, { stones: { ...stones, isCold: true } }),
    ];
    expect(asked(steps).map(({ id, startS, durationS, carry }) => [id, startS, durationS, carry])).toEqual([
      ['fresh', 30, 60, false],
      ['kept', 90, 40, true],
      ['one only', 130, 20, false],
      ['edge', 150, 20, false],
      ['after a short pause', 220, 20, true],
      ['after a long one', 301, 20, false],
    ]);
    expect(asked(steps, true, () => 12).map(({ id }) => id)).toEqual(['cool']);
    expect(bathForVisit(54, asked(steps), 1)).toBe(51);
    expect(bathForVisit(48, asked(steps), 1)).toBe(48);
  });

  it('keeps to the mildest touch where one stone serves several places', () => {
    const steps = [
      step('a', 60, { places: ['back-upper.left'] }),
      step('b', 40, { places: ['nape.left'], stones: { ...stones, keep: true } }),
      step('c', 40, { places: ['back-upper.left'] }),
    ];
    const touchOf = (_: unknown, places: readonly string[]) => (places.includes('nape.left') ? 44 : 50);
    const found = stoneStepsOf(steps, false, usualHabits, touchOf, () => 'palm');
    expect(found.map(({ firstContactC, usefulC }) => [firstContactC, usefulC])).toEqual([
      [44, 40],
      [44, 40],
      [50, 42],
    ]);
  });

  it('takes the stones that the technique names, or the step where it differs', () => {
    const use = (id: string, wish?: Parameters<typeof stoneUseOf>[1]) => {
      const technique = shippedLibrary.techniques.get(id);
      return technique && stoneUseOf(technique, wish);
    };
    expect(use('stone-effleurage')).toMatchObject({
      size: 'palm',
      count: 2,
      keep: true,
      isCold: false,
      mode: 'moving',
    });
    expect(use('stone-press-seat')).toMatchObject({ size: 'edge', count: 1, keep: true });
    expect(use('stone-traction')).toMatchObject({ size: 'edge', count: 1 });
    expect(use('stone-rest')).toMatchObject({ size: 'placement', mode: 'still', towelLayers: 1 });
    expect(use('stone-cool-hold')).toMatchObject({ size: 'small', isCold: true, mode: 'still', towelLayers: 0 });
    expect(use('stone-hot-return')).toMatchObject({ isCold: false, keep: false });
    expect(use('stone-cool-hold', { size: 'palm', count: 1, keep: false })).toMatchObject({ size: 'palm', count: 1 });
    expect(use('effleurage')).toBeUndefined();
    expect(stoneUseOf({ family: 'stone-glide', direction: 'none' })).toMatchObject({ size: 'palm', count: 2 });
  });
});

describe('a rotation that is short of stones', () => {
  const input = {
    ...{ bathC: 50, toleranceC: 1, ambientC: 24 },
    stock: [{ class: 'palm', size: 'palm', material: 'basalt', count: 3 }] as const,
    steps: [0, 400].map((startS, i) => ({
      ...{ id: `s${i}`, startS, durationS: 200, class: 'palm', count: 2, mode: 'moving', flip: true, towelLayers: 0 },
      ...{ usefulC: 42, firstContactC: 52 },
    })) as Parameters<typeof rotate>[1]['steps'],
  };

  it('is told ways out, and each of them works', () => {
    const found = rotate(book, input);
    expect(found.feasible).toBe(false);
    const ways = waysOut(book, input, found, 56);
    expect(ways.map(({ kind }) => kind)).toContain('fewer');
    const large = { class: 'large', size: 'large', material: 'basalt', count: 8 } as const;
    const richer = { ...input, stock: [...input.stock, large] };
    const other = waysOut(book, richer, rotate(book, richer), 56).find(({ kind }) => kind === 'other');
    expect([other?.words, other && rotate(book, other.given).feasible]).toEqual(['Large stones instead of palm', true]);
    for (const way of ways) expect(rotate(book, way.given).shortages, way.words).toEqual([]);
  });

  it('has none where nothing is wrong', () => {
    const enough = { ...input, stock: [{ ...input.stock[0], count: 30 }] };
    expect(waysOut(book, enough, rotate(book, enough), 56)).toEqual([]);
  });

  it('gives cues for taking out, swapping and putting back', () => {
    const enough = { ...input, stock: [{ ...input.stock[0], count: 30 }] };
    const cues = cuesOf(rotate(book, enough));
    expect(cues[0]?.words).toBe('Take palm 1 and 2 out of the bath.');
    expect(cues.some(({ words }) => /^Swap to palm \d+ and \d+; palm \d+ and \d+ into the bath/.test(words))).toBe(
      true,
    );
    expect(cues.at(-1)?.words).toMatch(/^Put palm/);
    const [first] = cues;
    expect(cueAt(cues, (first?.atS ?? 0) - 31)).toBeUndefined();
    expect(cueAt(cues, (first?.atS ?? 0) - 20)?.inS).toBe(20);
    expect(cueAt(cues, (first?.atS ?? 0) + 5)?.inS).toBe(0);
  });
});

describe('how long a stone may lie', () => {
  const lies = (change: object) =>
    restingTime(book, {
      ...{
        material: 'basalt',
        thicknessMm: 24,
        startC: 50,
        towelLayers: 1,
        skin: 'normal',
        skinStartC: 33,
        ambientC: 24,
      },
      ...change,
    } as Parameters<typeof restingTime>[1]);

  it('is nothing on bare skin, and nothing above the limit for this skin', () => {
    expect(lies({ towelLayers: 0 })).toMatchObject({ seconds: 0, why: 'Still on bare skin: never.' });
    expect(lies({ skin: 'thin' })).toMatchObject({ seconds: 0 });
    expect(lies({ startC: 56, towelLayers: 3 })).toMatchObject({ seconds: 0 });
  });

  it('ends before the skin comes to caution', () => {
    expect(lies({}).seconds).toBe(900);
    const damp = lies({ isTowelDamp: true, material: 'soapstone', thicknessMm: 50 });
    expect(damp.seconds).toBeGreaterThan(0);
    expect(damp.seconds).toBeLessThan(900);
  });
});

describe('warming up', () => {
  const stones = Array.from({ length: 12 }, () => ({ material: 'basalt' as const, ...book.sizes.palm }));
  it('takes longer with more stones, and never ends with a weak heater', () => {
    const seconds = (count: number, heaterW = 500) =>
      warmUpSeconds(book.physics, book.materials, { ...usualHabits, heaterW }, stones.slice(0, count));
    expect(seconds(12)).toBeGreaterThan(seconds(2) ?? Infinity);
    expect((seconds(12) ?? 0) / 60).toBeGreaterThan(30);
    expect((seconds(12) ?? 0) / 60).toBeLessThan(70);
    expect(seconds(12, 40)).toBeNull();
  });
});

describe('the thermometer', () => {
  it.each([
    ['53.9', 53.9],
    [' 54,1 °C ', 54.1],
    ['-2 c', -2],
    ['Err 3', undefined],
    ['NaN', undefined],
    ['', undefined],
    ['540', undefined],
    ['54.1 F', undefined],
  ])('reads “%s” as %s', (text, value) => {
    expect(readThermometer(text)).toBe(value);
  });

  const stream = (values: readonly (number | string)[]) =>
    values.map((value, i) => ({ text: String(value), atMs: i * 10_000 }));
  const judge = (values: readonly (number | string)[], laterMs = 0) =>
    judgeBath(stream(values), (values.length - 1) * 10_000 + laterMs, 54, 1, 56).state;

  it('says when it is ready, warming, drifting, off, too hot, unreadable or silent', () => {
    expect(judge([53.4, 53.6, 53.8])).toBe('ready');
    expect(judge([40, 40.4, 40.8])).toBe('warming');
    expect(judge([52.4, 51.9, 51.4])).toBe('drifting');
    expect(judge([21, 21, 21])).toBe('off');
    expect(judge([57, 57.2, 57.4])).toBe('too-hot');
    expect(judge([54, 54, 'Err 3'])).toBe('unreadable');
    expect(judge([54, 54, 'NaN'])).toBe('unreadable');
    expect(judge([54, 54], 20_000)).toBe('silent');
    expect(judgeBath([], 0, 54, 1, 56).state).toBe('silent');
  });
});

describe('times of a step', () => {
  it('lie with the class of stone as the tables say', () => {
    const palm = { class: 'palm', size: 'palm', material: 'basalt', count: 2 } as const;
    const laid = stepTimes(book, { bathC: 51, toleranceC: 1, ambientC: 24 }, palm, {
      ...{ id: 'a', startS: 0, durationS: 900, class: 'palm', count: 1, mode: 'still', flip: false, towelLayers: 1 },
      ...{ usefulC: 42, firstContactC: 50 },
    });
    expect(laid).toMatchObject({ times: { usefulS: 720, restS: 15 } });
    expect(shapeOf(book.sizes.palm, book.materials.basalt, book.physics.thomsenExponent).massKg * 1000).toBeCloseTo(
      140.3,
      1,
    );
  });
});

describe('a cue that is said aloud', () => {
  it('is said as it comes, not before, and gives way to place and count after some seconds', () => {
    const cue = { atS: 60, words: 'Swap palm 1 and 2.' };
    expect([59, 60, 63, 64, 79].map((planS) => isSaidNow(cue, planS))).toEqual([false, true, true, false, false]);
  });
});
