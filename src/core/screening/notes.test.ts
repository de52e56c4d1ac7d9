import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { type NoteLimits, withNoteLimits } from './notes';
import { readScreening } from './read-request';
import { screen } from './screen';
import { pressures, rankOf } from './tables';

function screening(conditions: readonly { id: string; side?: 'left' }[]) {
  const read = readScreening(screeningBook, {
    visitDate: '2026-11-25',
    age: 50,
    conditions,
    qualifications: ['massage', 'lymphoedema-certified', 'stone'],
    modalities: ['body-massage', 'hot-stone', 'breathing'],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return screen(screeningBook, read.value);
}
const note = (limits: NoteLimits['limits'], modalities: NoteLimits['modalities'] = 'all'): NoteLimits => ({
  condition: 'osteoporosis',
  writtenBy: 'Dr Moss, physician',
  modalities,
  limits,
});
const row = (answer: ReturnType<typeof screening>, id: string) => answer.byModality.find((r) => r.modality === id);

describe('limits of a written note', () => {
  it('hold beside those of the table, the stricter first', () => {
    const before = screening([{ id: 'osteoporosis' }]);
    const table = row(before, 'body-massage')?.limits.maxPressure ?? 'firm';
    const lighter = withNoteLimits(screeningBook, before, [note({ maxPressure: 'feather' })]);
    expect(row(lighter, 'body-massage')?.limits.maxPressure).toBe('feather');
    const firmer = withNoteLimits(screeningBook, before, [note({ maxPressure: 'firm' })]);
    expect(row(firmer, 'body-massage')?.limits.maxPressure).toBe(table);
  });

  it('turn what was free into a work with changes, with the reason', () => {
    const answer = withNoteLimits(screeningBook, screening([]), [
      note({ maxMinutes: 20, noHeat: true }, ['hot-stone']),
    ]);
    expect(row(answer, 'hot-stone')).toMatchObject({ decision: 'modify', limits: { maxMinutes: 20, noHeat: true } });
    expect(row(answer, 'hot-stone')?.reasons[0]?.text).toContain('Dr Moss');
    expect(row(answer, 'breathing')).toEqual(row(screening([]), 'breathing'));
  });

  it('change nothing when the note sets none', () => {
    const before = screening([{ id: 'osteoporosis' }]);
    expect(withNoteLimits(screeningBook, before, [note({})])).toBe(before);
  });

  it('never make a decision milder or a pressure firmer', () => {
    const conditions = ['osteoporosis', 'dvt-past', 'fever', 'anticoagulants', 'port'].map((id) => ({ id }));
    fc.assert(
      fc.property(
        fc.subarray(conditions),
        fc.constantFrom(...pressures),
        fc.integer({ min: 5, max: 90 }),
        (some, maxPressure, maxMinutes) => {
          const before = screening(some);
          const after = withNoteLimits(screeningBook, before, [note({ maxPressure, maxMinutes })]);
          for (const [i, old] of before.byModality.entries()) {
            const now = after.byModality[i];
            if (!now) throw new Error('a row is missing');
            expect(rankOf(now.decision)).toBeGreaterThanOrEqual(rankOf(old.decision));
            const firmness = (limit: (typeof pressures)[number] | undefined) => pressures.indexOf(limit ?? 'firm');
            expect(firmness(now.limits.maxPressure)).toBeLessThanOrEqual(firmness(old.limits.maxPressure));
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
