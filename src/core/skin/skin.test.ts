import { describe, expect, it } from 'vitest';
import { needsAnswerNow, relaxationGain, summariseFeedback } from './feedback';
import { judgeRedness } from './redness';

describe('redness after the work', () => {
  it('is expected when it fades within half an hour', () => {
    expect(judgeRedness({ before: 0, after: 2, fadedAfterMinutes: 15 })).toBe('expected');
    expect(judgeRedness({ before: 0, after: 2, fadedAfterMinutes: 'not-yet' })).toBe('watch');
    expect(judgeRedness({ before: 1, after: 1, fadedAfterMinutes: null })).toBe('none');
  });
  it('is a reaction after an hour, or by three grades at once', () => {
    expect(judgeRedness({ before: 0, after: 2, fadedAfterMinutes: 61 })).toBe('reaction');
    expect(judgeRedness({ before: 0, after: 3, fadedAfterMinutes: 5 })).toBe('reaction');
    expect(judgeRedness({ before: 1, after: 3, fadedAfterMinutes: 60 })).toBe('watch');
  });
  it('is not known until somebody has looked', () => {
    expect(judgeRedness({ before: 0, after: null, fadedAfterMinutes: null })).toBe('unknown');
    expect(judgeRedness({ before: null, after: 1, fadedAfterMinutes: null })).toBe('unknown');
  });
});

describe('feedback over visits', () => {
  it('keeps what was skipped apart from 0', () => {
    expect(summariseFeedback([null, null])).toEqual({ last: null, median: null, count: 0, preferred: null });
    expect(summariseFeedback([-1, null, 0, 1])).toEqual({ last: 1, median: 0, count: 3, preferred: null });
    expect(relaxationGain(null, 7)).toBeNull();
    expect(relaxationGain(3, 7)).toBe(4);
  });
  it('calls a preference what three answers in a row agree on', () => {
    expect(summariseFeedback([1, -1, -1, null, -1]).preferred).toBe(-1);
    expect(summariseFeedback([-1, -1]).preferred).toBeNull();
    expect(summariseFeedback([0, 0, 0]).preferred).toBe(0);
  });
  it('wants an answer in the room for too hot and too firm', () => {
    expect(needsAnswerNow({ pressure: -1, warmth: 2 })).toBe('lighter');
    expect(needsAnswerNow({ pressure: 0, warmth: 2 })).toBe('cooler');
    expect(needsAnswerNow({ pressure: 0, warmth: 1 })).toBeUndefined();
  });
});
