import { describe, expect, it } from 'vitest';
import type { CourseVisit, LimbCourse } from '../contracts/progress-views';
import { trendOf } from '../core/swelling/trend';
import { chartSvg } from '../server/paper/chart-svg';
import { axisOf, courseOption, quantities } from './course-options';
import { paperPalette } from './palette';
import { fadeOption, feelings, responseOption, scoresOption } from './visit-options';

const days = ['2026-03-02', '2026-03-09', '2026-03-16', '2026-03-23', '2026-03-30'];
const points = days.map((date, i) => ({
  date,
  day: date,
  visitId: i,
  affectedMl: 2400 - 20 * i,
  affectedSdMl: 10,
  referenceMl: 2000,
  excessMl: 400 - 20 * i,
  excessSdMl: 14,
  excessPercent: 20 - i,
  stretchMl: [40],
  isProvisional: false,
  afterMl: 2380 - 20 * i,
  afterExcessMl: 380 - 20 * i,
  eightCm: 45 - 0.1 * i,
  otherEightCm: 43,
  weightKg: null,
}));
const trend = trendOf(points.map(({ date, excessMl }) => ({ date, value: excessMl }))) ?? null;
const course: LimbCourse = {
  key: 'arm left',
  limb: 'arm',
  side: 'left',
  method: 'frustum',
  volumeUnit: 'ml',
  fromCm: 0,
  toCm: 40,
  stretches: [{ from: 0, to: 4 }],
  points,
  leftOut: [],
  trends: { excess: trend, affected: trend, reference: null, eight: null },
  limitMl: 150,
  responses: [
    {
      date: days[0] ?? '',
      day: '',
      responseMl: 30,
      responsePercent: 1,
      isBeyondError: true,
      retentionPercent: 60,
      days: 7,
      reboundMlPerDay: 1,
      excessResponseMl: 28,
      excessRetentionPercent: 55,
    },
    {
      date: days[1] ?? '',
      day: '',
      responseMl: -12,
      responsePercent: 0,
      isBeyondError: false,
      retentionPercent: null,
      days: 7,
      reboundMlPerDay: 1,
      excessResponseMl: 28,
      excessRetentionPercent: 55,
    },
  ],
  medianResponseMl: 9,
  medianRetentionPercent: 60,
  retentions: 1,
  medianExcessRetentionPercent: 55,
  lowest: null,
  highest: null,
  reductionPercent: 20,
  isLastChangeBeyond: false,
  lastChangeMl: -20,
  firstChange: null,
  definition: { short: 'volume ≥ 10 %', isMet: true, value: 16 },
};
const visits = days.map((date, i): CourseVisit => ({
  visitId: i,
  date,
  day: date,
  work: 'drainage',
  therapist: 'Ines',
  steps: 30,
  homeTimes: null,
  comfort: 8,
  pressure: 0,
  warmth: 0,
  relaxationGain: 3,
  rednessRise: 1,
  fadeMinutes: i === 4 ? -1 : 5,
  rednessVerdict: i === 4 ? 'watch' : 'expected',
  tightness: 4,
  heaviness: 6 - i,
  pain: null,
}));

describe('charts as plain data', () => {
  it('give scales that hold all values on round steps', () => {
    const { min, max, interval } = axisOf([613, 951]);
    expect([min <= 613, max >= 951, (max - min) % interval]).toEqual([true, true, 0]);
    expect(axisOf([])).toEqual({ min: 0, max: 100, interval: 20 });
    expect(axisOf([500]).max).toBeGreaterThan(500);
  });

  it.each(quantities)('draw %s on paper without a browser', (what) => {
    const svg = chartSvg(courseOption(course, visits, what, paperPalette), 700, 300);
    expect(svg).toMatch(/^<svg/);
    expect(svg).toContain(what === 'eight' ? '45.0' : 'mL');
  });

  it('put the measuring error round the start, and the trend only where there is an interval', () => {
    const svg = chartSvg(courseOption(course, visits, 'excess', paperPalette), 700, 300);
    expect(svg).toContain('measuring error round the start');
    expect(svg).toContain('>trend<');
    const short = {
      ...course,
      points: points.slice(0, 2),
      trends: {
        ...course.trends,
        excess: trendOf(points.slice(0, 2).map(({ date, excessMl }) => ({ date, value: excessMl }))) ?? null,
      },
    };
    expect(chartSvg(courseOption(short, visits, 'excess', paperPalette), 700, 300)).not.toContain('>trend<');
  });

  it('line responses and retention up at zero', () => {
    const option = responseOption(course, paperPalette) as { yAxis: { min: number; max: number }[] };
    const [ml, percent] = option.yAxis;
    expect((ml?.min ?? 0) / (ml?.max ?? 1)).toBeCloseTo((percent?.min ?? 0) / (percent?.max ?? 1), 6);
    // Named over its scale, where no percentage can lie under the word.
    expect(chartSvg(option, 700, 180)).toContain('>held<');
    expect(option.yAxis).toEqual([
      expect.not.objectContaining({ name: 'held' }),
      expect.objectContaining({ name: 'held' }),
    ]);
  });

  it('name each score at its line, and show what has not faded as such', () => {
    const scores = chartSvg(scoresOption(visits, feelings, paperPalette), 700, 300);
    expect(scores).toContain('heaviness');
    expect(chartSvg(fadeOption(visits, paperPalette), 700, 300)).toContain('expected within');
  });
});
