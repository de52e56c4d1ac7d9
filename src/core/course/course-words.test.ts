import { describe, expect, it } from 'vitest';
import { courseVisits } from './advice';
import { courseOf } from './course';
import { forecastInWords, intervalInWords, phasesInWords, responseInWords, wantedInWords } from './course-words';

const points = [640, 610, 590, 570, 560].map((excessMl, i) => ({
  date: `2026-03-${String(1 + 7 * i).padStart(2, '0')}`,
  ...{ excessMl, afterExcessMl: excessMl - 80 },
}));
const course = courseOf({
  ...{ visits: courseVisits(points), errorMl: 20, intervals: [7, 28], horizonDays: 84, phases: null, goalMl: null },
  seed: 1,
});

describe('the course ahead in words', () => {
  it('never says what a visit takes without its range', () => {
    expect(responseInWords(course)).toMatch(
      /^A visit takes about \d+ % of the excess \(\d+ to \d+\); a third of that is left after [\d.]+ days \([\d.]+ to [\d.]+\)\.$/,
    );
    expect(responseInWords({ ...course, response: null })).toBe('');
  });

  it('names intervals by weeks where they are whole', () => {
    expect([7, 14, 10].map(intervalInWords)).toEqual(['week', '2 weeks', '10 days']);
  });

  it('gives a volume with its range, and none beyond what was seen', () => {
    const [first] = course.forecast;
    if (!first) throw new Error('no forecast');
    const text = (ml: number) => `${Math.round(ml)} mL`;
    const seen = { ...first, endMl: 500, lowMl: 450, highMl: 560, beyondSeen: false };
    expect(forecastInWords(seen, text)).toBe('500 mL (450 mL to 560 mL)');
    expect(forecastInWords({ ...seen, beyondSeen: true }, text)).not.toContain('mL');
  });

  it('says how many visits are still needed', () => {
    expect(wantedInWords(1)).toContain('one more with both measures');
    expect(wantedInWords(3)).toContain('three more with both measures');
  });

  it('takes a limb that is smaller than the other one for one without excess', () => {
    expect(courseVisits([{ date: '2026-03-01', excessMl: -30, afterExcessMl: null }])).toEqual([
      { day: '2026-03-01', beforeMl: 0, afterMl: null },
    ]);
    expect(courseVisits([{ date: '2026-03-01', excessMl: null, afterExcessMl: null }])).toEqual([]);
  });
});

describe('a course in phases', () => {
  it('says each phase in its turn, the last one open', () => {
    expect(
      phasesInWords([
        [3, 5],
        [14, null],
      ]),
    ).toBe('5 visits every 3 days, then every 2 weeks');
    expect(phasesInWords([[7, 1]])).toBe('1 visit every week');
  });
});
