import { describe, expect, it } from 'vitest';
import { conditionsOf } from '../../core/oils/client';
import { screeningBook, vocabulary } from '../screening/screening';
import { readRows } from '../read-table';
import { oilBook } from './oils';
import { CarrierRow, ConstituentRow, EssentialOilRow, GuideRowRow } from './schemas';
import { spreadTable } from './spread';

describe('the catalogue of oils', () => {
  it('has whole rows, each once, whose names the rest of it knows', () => {
    readRows('essential oils', EssentialOilRow, [...oilBook.oils.values()]);
    readRows('constituents', ConstituentRow, [...oilBook.constituents.values()]);
    readRows('carriers', CarrierRow, [...oilBook.carriers.values()]);
    readRows('dilution guide', GuideRowRow, [...oilBook.guide.values()]);
    expect(() => readRows('essential oils', EssentialOilRow, [{ id: 'Bad Id' }])).toThrow(/catalogue essential oils/);
    expect(oilBook.oils.size).toBe(62);
    for (const oil of oilBook.oils.values()) {
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
