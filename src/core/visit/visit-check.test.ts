import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { type CheckAnswers, judgeVisitCheck, makeVisitCheck } from './visit-check';

const check = makeVisitCheck(screeningBook.conditions.values(), screeningBook.redFlags);
const ids = [...check.flags, ...check.today, ...check.others].map((question) => question.id);
const allNo: CheckAnswers = Object.fromEntries(ids.map((id) => [id, 'no']));

describe('the check before a visit', () => {
  it('asks every red flag, worst first, and every finding of the day once', () => {
    expect(check.flags.length).toBe(screeningBook.redFlags.length);
    expect(check.flags[0]?.flag?.action).toBe('stop-urgent');
    expect(check.flags.at(-1)?.flag?.action).toBe('postpone');
    const asked = [
      ...check.flags.map((q) => q.flag?.condition),
      ...check.today.flatMap((group) => group.conditions.map((c) => c.id)),
    ];
    const expected = [...screeningBook.conditions.values()].filter((c) => c.askAt.includes('visit')).map((c) => c.id);
    expect(new Set(asked)).toEqual(new Set([...expected, ...screeningBook.redFlags.map((f) => f.condition)]));
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('lets the visit go on once every question has its answer', () => {
    expect(judgeVisitCheck(check, allNo).kind).toBe('go');
    const { 'anything-new': _, ...rest } = allNo;
    expect(judgeVisitCheck(check, rest)).toMatchObject({ kind: 'open', unanswered: ['anything-new'], stoppedBy: [] });
    expect(judgeVisitCheck(check, {}).unanswered).toEqual(ids);
  });

  it('stops at one yes to a red flag, the most urgent first, whatever else is open', () => {
    const outcome = judgeVisitCheck(check, { 'fever-today': 'yes', 'chest-or-breath': 'yes' });
    expect(outcome.kind).toBe('stop');
    expect(outcome.stoppedBy.map((flag) => flag.id)).toEqual(['chest-or-breath', 'fever-today']);
  });

  it('asks afresh what was so at an earlier visit, each by itself', () => {
    const again = makeVisitCheck(
      screeningBook.conditions.values(),
      screeningBook.redFlags,
      new Set(['eczema', 'asthma']),
    );
    expect(again.still.map((question) => question.id)).toEqual(['still:eczema']);
    expect(again.today.flatMap((group) => group.conditions.map((c) => c.id))).not.toContain('eczema');
    expect(judgeVisitCheck(again, allNo)).toMatchObject({ kind: 'open', unanswered: ['still:eczema'] });
  });

  it('only notes that something is new, or that a group has something', () => {
    expect(judgeVisitCheck(check, { ...allNo, 'anything-new': 'yes', 'today:skin': 'yes' }).kind).toBe('go');
  });
});
