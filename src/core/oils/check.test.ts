import type { Millilitres } from '../quantities';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { leastVolumeMl, roundingErrorPercent, scaleBlend } from './amounts';
import type { Area } from './book';
import { checkBlend, tightestOf } from './check';
import { adult, guideOf, type OilClient } from './client';
import { layeredDrops } from './layered';

const check = (
  parts: Readonly<Record<string, number>>,
  { volumeMl = 30, area = 'body' as Area, client = adult as OilClient, basis = 'max' as const } = {},
) => {
  const list = Object.entries(parts).map(([oil, drops]) => ({ oil, drops }));
  const result = checkBlend(book, { volumeMl, area, client, basis, parts: list });
  if (!result) throw new Error('the oils do not fit into the bottle');
  return result;
};
const codes = (...input: Parameters<typeof check>) => check(...input).findings.map(({ code }) => code);
const client = (change: Partial<OilClient>): OilClient => ({ ...adult, ...change });

describe('a blend checked', () => {
  it('gives percent of the finished bottle, by each oil’s own drops', () => {
    const { totalPercent, carrierMl, parts, constituents, verdict, guide } = check({
      lavender: 9,
      'marjoram-sweet': 6,
    });
    expect(totalPercent).toBeCloseTo(1.8519, 4);
    expect(carrierMl).toBeCloseTo(29.44, 2);
    expect(parts[0]).toMatchObject({ drops: 9, limitPercent: null, shareOfLimit: null });
    expect(parts[0]?.ml).toBeCloseTo(0.3333, 4);
    expect(parts[0]?.percent).toBeCloseTo(1.1111, 4);
    expect(constituents[0]?.id).toBe('linalool');
    expect(constituents[0]?.percent).toBeCloseTo(0.6185, 4);
    expect([verdict, guide.maxPercent]).toEqual(['ok', 3]);
  });

  it('counts a house’s own drops before those of the table', () => {
    const parts = [{ oil: 'lavender', drops: 9, dropsPerMl: 30 }];
    const own = checkBlend(book, { volumeMl: 30, area: 'body', client: adult, basis: 'max', parts });
    expect(own?.parts[0]?.ml).toBeCloseTo(0.3, 9);
  });

  it('has no answer for drops that do not fit into the bottle', () => {
    const parts = [{ oil: 'lavender', drops: 5000 }];
    expect(checkBlend(book, { volumeMl: 30, area: 'body', client: adult, basis: 'max', parts })).toBeNull();
  });

  it('sums a constituent over all oils that bring it', () => {
    // 5 drops of clove bud and of cinnamon leaf, each below its own limit or near it, bring eugenol together.
    const both = check({ 'clove-bud': 3, 'cinnamon-leaf': 3 });
    expect(both.constituents.find(({ id }) => id === 'eugenol')?.shareOfLimit).toBeGreaterThan(1);
    expect(both.verdict).toBe('over');
    expect(both.findings.find(({ code }) => code === 'over-constituent-limit')?.text).toMatch(/less of|fewer drops/);
  });

  it('takes the usual bottle instead of the unlucky one when asked', () => {
    const usual = checkBlend(book, {
      ...{ volumeMl: 30, area: 'body', client: adult, basis: 'typical' },
      parts: [{ oil: 'lavender', drops: 9 }],
    });
    expect(usual?.constituents[0]?.percent).toBeCloseTo((1.1111 * 32) / 100, 3);
  });

  it('adds up what burns in the sun, but for a bath', () => {
    const sunny = check({ bergamot: 2, lemon: 10 });
    expect(sunny.phototoxic.sumOfFractions).toBeGreaterThan(1);
    expect(sunny.phototoxic.hoursOutOfSun).toBe(12);
    expect(sunny.findings.find(({ code }) => code === 'over-phototoxic-sum')?.text).toContain(
      '12 hours out of the sun',
    );
    const bath = check({ lemon: 20 }, { area: 'bath' });
    expect(bath.phototoxic).toEqual({ sumOfFractions: 0, hoursOutOfSun: 0 });
    expect(codes({ lemon: 10 }, { area: 'bath' })).not.toContain('over-phototoxic-sum');
  });

  it('holds limits inclusively, and speaks up from four fifths on', () => {
    const wintergreen = { oil: 'wintergreen', drops: 24 };
    const at = (volumeMl: Millilitres) =>
      checkBlend(book, { volumeMl, area: 'local', client: adult, basis: 'max', parts: [wintergreen] })?.parts[0];
    expect(at(100 / 2.4)?.shareOfLimit).toBeCloseTo(1, 9);
    expect(codes({ wintergreen: 24 }, { volumeMl: 100 / 2.4, area: 'local' })).not.toContain('over-oil-limit');
    expect(codes({ wintergreen: 25 }, { volumeMl: 100 / 2.4, area: 'local' })).toContain('over-oil-limit');
    expect(codes({ 'ylang-ylang': 5 }, { volumeMl: 28 })).toContain('near-limit');
  });

  it('names oils that the client avoids, in this area and at this age', () => {
    expect(codes({ wintergreen: 2 }, { client: client({ conditions: ['pregnancy'] }) })).toContain('avoid');
    expect(codes({ wintergreen: 0 }, { client: client({ conditions: ['pregnancy'] }) })).toEqual([]);
    const child = { client: client({ age: 4 }) };
    expect(codes({ peppermint: 1 }, { ...child, area: 'face', volumeMl: 100 })).toContain('avoid');
    expect(codes({ peppermint: 1 }, { ...child, volumeMl: 100 })).not.toContain('avoid');
  });

  it('counts what screening keeps away and how strong it allows', () => {
    const screened = client({ avoids: [{ id: 'vetiver', reason: 'strongly calming' }], mostPercent: 1 });
    expect(codes({ vetiver: 1 }, { client: screened })).toContain('avoid');
    expect(check({ lavender: 9 }, { client: screened }).guide.maxPercent).toBe(1);
  });

  it('says what is tightest', () => {
    expect(tightestOf(check({ lavender: 9, 'ylang-ylang': 5 }))).toMatchObject({ kind: 'oil', id: 'ylang-ylang' });
    expect(tightestOf(check({ lavender: 20 }))).toMatchObject({ kind: 'whole' });
    expect(tightestOf(check({}))).toBeUndefined();
  });
});

describe('how strong a blend usually is', () => {
  it.each([
    [{}, 'body', 3],
    [{}, 'face', 1],
    [{}, 'local', 5],
    [{}, 'bath', 2],
    [{ skin: 'sensitive' }, 'body', 1],
    [{ skin: 'sensitive' }, 'face', 0.5],
    [{ skin: 'sensitive' }, 'local', 1],
    [{ age: 1 }, 'body', 0],
    [{ age: 2 }, 'body', 0.5],
    [{ age: 5 }, 'face', 0.5],
    [{ age: 6 }, 'body', 1.5],
    [{ age: 11 }, 'face', 1],
    [{ age: 12 }, 'body', 3],
    [{ age: 74 }, 'body', 3],
    [{ age: 75 }, 'body', 1],
    [{ conditions: ['frail'] }, 'local', 1],
    [{ conditions: ['pregnancy'] }, 'body', 1],
    [{ conditions: ['pregnancy', 'sensitive-skin'] }, 'face', 0.5],
  ] as const)('%o, %s: at most %d %%', (change, area, most) => {
    expect(guideOf(book, client(change as Partial<OilClient>), area).maxPercent).toBe(most);
  });

  it('says so when a total is above it, and what would mend it', () => {
    const above = check({ lavender: 30 });
    expect(above.verdict).toBe('caution');
    expect(above.withinGuide).toBe(false);
    expect(above.findings.at(-1)?.text).toContain('mix them into 37.5 mL');
  });
});

describe('whole drops', () => {
  it('are off by half a drop at most', () => {
    expect(roundingErrorPercent(25, 5)).toBeCloseTo(0.4, 9);
    expect(roundingErrorPercent(27, 30)).toBeCloseTo(0.0617, 4);
    expect(leastVolumeMl(27, 0.5)).toBeCloseTo(7.4, 1);
  });

  it('are scaled to other bottles, and what is lost is said', () => {
    const parts = [
      { oil: 'lavender', drops: 9 },
      { oil: 'vetiver', drops: 1 },
    ];
    const small = scaleBlend(book, parts, 30, 10);
    expect(small.parts.map(({ drops }) => drops)).toEqual([3, 0]);
    expect([small.lost, small.leastMl]).toEqual([['vetiver'], 15]);
    expect(scaleBlend(book, parts, 30, 15).lost).toEqual([]);
    expect(scaleBlend(book, parts, 30, 90).totalPercent).toBeCloseTo(scaleBlend(book, parts, 30, 30).totalPercent, 9);
  });
});

describe('drops straight onto the skin', () => {
  const neat = (
    parts: Readonly<Record<string, number>>,
    change: { carrierMl?: Millilitres; client?: OilClient } = {},
  ) =>
    layeredDrops(book, {
      ...{ areaCm2: 900, carrierMl: 0, client: adult, ...change },
      parts: Object.entries(parts).map(([oil, drops]) => ({ oil, drops })),
    });

  it('come to fifteen times the limit for eight drops of wintergreen', () => {
    const { totalPercent, filmMl, verdict, parts, dilutedEquivalent } = neat({ wintergreen: 8 });
    expect(totalPercent).toBeCloseTo(37.04, 2);
    expect(filmMl).toBeCloseTo(0.9, 9);
    expect(parts[0]?.shareOfLimit).toBeCloseTo(15.4, 1);
    expect(verdict).toBe('over');
    expect(dilutedEquivalent).toMatchObject({
      bottleMl: 30,
      maxTotalPercent: 2.4,
      parts: [{ oil: 'wintergreen', drops: 17 }],
    });
  });

  it('spread in what is applied where that is more than a film', () => {
    expect(neat({ lavender: 27 }, { carrierMl: 9 }).filmMl).toBeCloseTo(10, 9);
    expect(neat({ lavender: 27 }, { carrierMl: 9 }).totalPercent).toBeCloseTo(10, 9);
  });

  it('are named, and still diluted for somebody who can have them, where the client avoids them', () => {
    const pregnant = neat({ wintergreen: 8, lavender: 8 }, { client: client({ conditions: ['pregnancy'] }) });
    expect(pregnant.findings.some(({ code, oil }) => code === 'avoid' && oil === 'wintergreen')).toBe(true);
    expect(pregnant.dilutedEquivalent.maxTotalPercent).toBe(1);
    expect(pregnant.dilutedEquivalent.parts.every(({ drops }) => drops > 0)).toBe(true);
  });
});
