import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { writeCourse } from './course';
import { courseSeconds, fitCourse, settle } from './fit';
import { makeCase, mustRead } from './fixtures';
import { stepSeconds } from './step';
import { surveyCase } from './survey';

describe('how long a step takes', () => {
  it('is six seconds to find the place, then a second a repetition and two to move on, for each placement', () => {
    expect(stepSeconds('drain', 7, 6, 0)).toBe(6 + 6 * 9);
    expect(stepSeconds('clear', 10, 2, 0)).toBe(30);
  });

  it('is six seconds a breath, two a stretch carried, three a stretch returned', () => {
    expect(stepSeconds('breathe', 10, 1, 0)).toBe(66);
    expect(stepSeconds('carry', 2, 1, 3)).toBe(18);
    expect(stepSeconds('return', 1, 1, 5)).toBe(21);
  });
});

describe('fitting a course', () => {
  const read = mustRead(
    anatomy,
    makeCase(['leg.left'], { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] }),
  );
  const course = writeCourse(anatomy, read, surveyCase(anatomy, read), { withReturn: true });
  const least = courseSeconds(course, ({ min }) => min);
  const usual = courseSeconds(course, (range) => range.usual);
  const seconds = (repetitions: readonly number[]) =>
    course.reduce(
      (sum, step, i) => sum + stepSeconds(step.kind, repetitions[i] ?? 0, step.placements, step.stretches),
      0,
    );

  it('takes the usual where there is time, and no more unless it is told to fill', () => {
    expect(fitCourse(course, usual * 2, false)).toEqual(course.map(({ range }) => range.usual));
    const filled = fitCourse(course, usual + 600, true) ?? [];
    expect(seconds(filled)).toBeGreaterThan(usual);
    expect(seconds(filled)).toBeLessThanOrEqual(usual + 600);
    course.forEach(({ kind, range }, i) => {
      if (kind !== 'drain' && kind !== 'carry') expect(filled[i]).toBeLessThanOrEqual(range.usual);
    });
  });

  it('leaves no whole repetition unused that would still fit', () => {
    fc.assert(
      fc.property(fc.integer({ min: least, max: usual }), (budget) => {
        const fitted = fitCourse(course, budget, false) ?? [];
        const used = seconds(fitted);
        expect(used).toBeLessThanOrEqual(budget);
        course.forEach(({ range, kind, placements, stretches }, i) => {
          const now = fitted[i] ?? 0;
          expect(now).toBeGreaterThanOrEqual(range.min);
          if (now >= range.usual) return;
          const more =
            stepSeconds(kind, now + 1, placements, stretches) - stepSeconds(kind, now, placements, stretches);
          expect(used + more).toBeGreaterThan(budget);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('gives up below the least, and gives exactly the least at it', () => {
    expect(fitCourse(course, least - 1, true)).toBeUndefined();
    expect(fitCourse(course, least, false)).toEqual(course.map(({ range }) => range.min));
  });

  it('numbers the settled steps and puts each into words', () => {
    const steps = settle(
      anatomy,
      read,
      course,
      course.map(({ range }) => range.usual),
    );
    expect(steps.map((s) => s.id)).toEqual(course.map((_, i) => `s${i + 1}`));
    expect(steps.reduce((sum, s) => sum + s.seconds, 0)).toBe(usual);
    expect(steps.every((s) => s.why.endsWith('.'))).toBe(true);
  });
});
