import { describe, expect, it } from 'vitest';
import { asksAgain, frequencyRules, planRules } from './plan-rules';

describe('rules of a plan', () => {
  it('stand each once, and have a reason', () => {
    expect(new Set(planRules.map(({ id }) => id)).size).toBe(planRules.length);
    for (const { why } of planRules) expect(why.length).toBeGreaterThan(10);
  });

  it('hold gloved work to twice in seven days, two days apart', () => {
    expect(frequencyRules).toEqual([
      { id: 'intraoral-twice-a-week', modality: 'facial-intraoral', mostInSevenDays: 2, minGapHours: 48 },
    ]);
  });

  it('ask again at the table: mouth and ribs before chest recoil, the last meal before deep belly work', () => {
    expect(asksAgain('thoracic-pump', [])).toHaveLength(4);
    expect(asksAgain('lymph-drainage', ['deep-belly-press']).join()).toContain('2 hours');
    expect(asksAgain('facial-massage', [])).toEqual([]);
  });
});
