import type { Seconds } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { cueAt, cuesOf } from './cues';
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

  it('joins strokes on end that take the same stones, and parts what lies apart', () => {
    const steps = [
      step('a', 60, {}, 30),
      step('b', 40, {}),
      step('c', 50, undefined),
      step('d', 20, {}),
      step('e', 30, { stones: { ...stones, isCold: true } }),
    ];
    const asked = stoneStepsOf(
      steps,
      false,
      usualHabits,
      () => 50,
      () => 'palm',
    );
    expect(asked.map(({ id, startS, durationS }) => [id, startS, durationS])).toEqual([
      ['a', 30, 100],
      ['d', 180, 20],
    ]);
    expect(
      stoneStepsOf(
        steps,
        true,
        usualHabits,
        () => 12,
        () => 'palm',
      ).map(({ id }) => id),
    ).toEqual(['e']);
    expect(bathForVisit(54, asked, 1)).toBe(51);
    expect(bathForVisit(48, asked, 1)).toBe(48);
  });

  it('keeps to the mildest touch where one stone serves several places', () => {
    const steps = [step('a', 60, { places: ['back-upper.left'] }), step('b', 40, { places: ['nape.left'] })];
    const touchOf = (_: unknown, places: readonly string[]) => (places.includes('nape.left') ? 46 : 50);
    const [asked] = stoneStepsOf(steps, false, usualHabits, touchOf, () => 'palm');
    expect(asked).toMatchObject({ durationS: 100, firstContactC: 46, usefulC: 42 });
  });

  it('takes the stone that fits technique and place', () => {
    const use = (
      id: string,
      family: 'stone-glide' | 'stone-press' | 'stone-rest' | 'stone-cool',
      regions: readonly string[],
    ) => stoneUseOf(anatomy.groups, { id, family }, regions)?.size;
    expect(use('stone-effleurage', 'stone-glide', ['back-upper'])).toBe('large');
    expect(use('stone-strip', 'stone-press', ['thigh-upper-back'])).toBe('edge');
    expect(use('stone-neck-glide', 'stone-glide', ['nape', 'neck-side'])).toBe('small');
    expect(use('stone-cool-eye', 'stone-cool', ['eyelid-lower'])).toBe('facial');
    expect(use('stone-rest', 'stone-rest', ['back-lower'])).toBe('placement');
    expect(stoneUseOf(anatomy.groups, { id: 'effleurage', family: 'effleurage' }, ['back-upper'])).toBeUndefined();
  });
});

describe('a rotation that is short of stones', () => {
  const given = {
    ...{ bathC: 50, toleranceC: 1, ambientC: 24 },
    stock: [{ class: 'palm', size: 'palm', material: 'basalt', count: 3 }] as const,
    steps: [0, 400].map((startS, i) => ({
      ...{ id: `s${i}`, startS, durationS: 200, class: 'palm', count: 2, mode: 'moving', flip: true, towelLayers: 0 },
      ...{ usefulC: 42, firstContactC: 52 },
    })) as Parameters<typeof rotate>[1]['steps'],
  };

  it('is told three ways out, and each of them works', () => {
    const found = rotate(book, given);
    expect(found.feasible).toBe(false);
    const ways = waysOut(book, given, found, 56);
    expect(ways.map(({ kind }) => kind)).toContain('fewer');
    for (const way of ways) expect(rotate(book, way.given).shortages, way.words).toEqual([]);
  });

  it('has none where nothing is wrong', () => {
    const enough = { ...given, stock: [{ ...given.stock[0], count: 30 }] };
    expect(waysOut(book, enough, rotate(book, enough), 56)).toEqual([]);
  });

  it('gives cues for taking out, swapping and putting back', () => {
    const enough = { ...given, stock: [{ ...given.stock[0], count: 30 }] };
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
