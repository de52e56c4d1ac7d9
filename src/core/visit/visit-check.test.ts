import { describe, expect, it } from 'vitest';
import { type CheckAnswers, judgeVisitCheck, visitQuestionIds, visitQuestions } from './visit-check';

const allNo = Object.fromEntries(visitQuestionIds.map((id) => [id, 'no'])) as CheckAnswers;

describe('the check before a visit', () => {
  it('lets the visit go on once every question has a no', () => {
    expect(judgeVisitCheck(allNo).kind).toBe('go');
    expect(judgeVisitCheck({ fever: 'no' })).toMatchObject({ kind: 'open', stoppedBy: [] });
    expect(visitQuestions.map((q) => q.id).sort()).toEqual([...visitQuestionIds].sort());
  });

  it('stops at one yes, the most urgent first, whatever else is open', () => {
    const outcome = judgeVisitCheck({ fever: 'yes', 'chest-or-breath': 'yes' });
    expect(outcome.kind).toBe('stop');
    expect(outcome.stoppedBy.map((q) => q.id)).toEqual(['chest-or-breath', 'fever']);
  });

  it('only notes that something is new', () => {
    expect(judgeVisitCheck({ ...allNo, 'anything-new': 'yes' }).kind).toBe('go');
  });
});
