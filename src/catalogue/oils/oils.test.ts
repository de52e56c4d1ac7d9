import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { noteIds, useIds } from '../../core/oils/book';
import { conditionsOf } from '../../core/oils/client';
import { screeningBook, vocabulary } from '../screening/screening';
import { oilBook } from './oils';
import { spreadTable } from './spread';

const id = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/);
const words = z.string().min(1);
const percent = z.number().min(0).max(100);
const certainty = z.enum(['established', 'typical', 'uncertain']);
const strength = z.enum(['none', 'low', 'moderate', 'high']);

const EssentialOilRow = z.strictObject({
  ...{ id, name: words, latin: words, part: words, odourFamily: words },
  note: z.enum(noteIds),
  odourIntensity: z.number().int().min(1).max(10),
  densityGPerMl: z.number().min(0.8).max(1.3),
  dropsPerMl: z.number().int().min(15).max(40),
  shelfLifeMonthsOpened: z.number().int().min(6).max(120),
  constituents: z.array(
    z
      .strictObject({ id, minPercent: percent, typicalPercent: percent, maxPercent: percent })
      .refine((c) => c.minPercent <= c.typicalPercent && c.typicalPercent <= c.maxPercent),
  ),
  dermalMaxPercent: percent.nullable(),
  dermalMaxReason: words.nullable(),
  phototoxic: z.strictObject({ maxLeaveOnPercent: percent.gt(0), hoursOutOfSun: z.number().int().gt(0) }).nullable(),
  ...{ sensitiser: strength, irritant: strength, confidence: certainty },
  uses: z.array(z.enum(useIds)).min(1),
  skinTypes: z.array(words),
  avoid: z.array(z.strictObject({ condition: id, scope: z.enum(['all', 'face']), reason: words })),
});

describe('the catalogue of oils', () => {
  it('has whole rows, each once, whose names the rest of it knows', () => {
    expect(oilBook.oils.size).toBe(62);
    for (const oil of oilBook.oils.values()) {
      expect(EssentialOilRow.safeParse(oil).error?.issues, oil.id).toBeUndefined();
      for (const one of oil.constituents) expect(oilBook.constituents.has(one.id), one.id).toBe(true);
      for (const { condition } of oil.avoid) expect(oilBook.conditions.has(condition), condition).toBe(true);
      expect(new Set(oil.constituents.map((one) => one.id)).size).toBe(oil.constituents.length);
    }
    expect([oilBook.constituents.size, oilBook.carriers.size, oilBook.guide.size]).toEqual([23, 19, 12]);
  });

  it('is never laxer on the face than on the body', () => {
    for (const { dermalMaxPercent, dermalMaxFacePercent } of oilBook.constituents.values())
      expect(dermalMaxFacePercent ?? Infinity).toBeLessThanOrEqual(dermalMaxPercent ?? Infinity);
  });

  it('knows every oil, carrier and condition that screening names', () => {
    for (const group of Object.values(vocabulary.oilGroups)) {
      for (const oil of group.oils) expect(oilBook.oils.has(oil), oil).toBe(true);
      for (const carrier of group.carriers) expect(oilBook.carriers.has(carrier), carrier).toBe(true);
    }
    const known = new Set([
      ...oilBook.conditions.keys(),
      'frail',
      ...conditionsOf({ age: 1, conditions: [], skin: 'sensitive' }),
    ]);
    for (const condition of screeningBook.conditions.values())
      for (const oilCondition of condition.oilConditions ?? [])
        expect(known.has(oilCondition), oilCondition).toBe(true);
  });

  it('shares out the whole skin', () => {
    const all = spreadTable.shares.reduce((sum, { percent: share, isEach }) => sum + share * (isEach ? 2 : 1), 0);
    expect(all).toBeCloseTo(100, 9);
  });
});
