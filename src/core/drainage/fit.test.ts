import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { writeCourse } from './course';
import { courseSeconds, fitEffort, repetitionsAt, settle } from './fit';
import { makeCase, mustRead } from './fixtures';
import { repetitionRanges, stepKinds, stepSeconds, thickenedDrainRange } from './step';
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

describe('repetitions', () => {
  it('lie between their limits at every effort, and only draining and carrying grow beyond the usual', () => {
    fc.assert(
      fc.property(fc.constantFrom(...stepKinds), fc.double({ min: -1, max: 1, noNaN: true }), (kind, effort) => {
        const range = repetitionRanges[kind];
        const repetitions = repetitionsAt(range, kind, effort);
        expect(repetitions).toBeGreaterThanOrEqual(range.min);
        expect(repetitions).toBeLessThanOrEqual(kind === 'drain' || kind === 'carry' ? range.max : range.usual);
        expect(Number.isInteger(repetitions)).toBe(true);
      }),
    );
  });

  it('meet the three written numbers exactly', () => {
    expect([-1, 0, 1].map((effort) => repetitionsAt(repetitionRanges.drain, 'drain', effort))).toEqual([3, 7, 15]);
    expect([-1, 0, 1].map((effort) => repetitionsAt(thickenedDrainRange, 'drain', effort))).toEqual([6, 14, 30]);
    expect([-1, 0, 1].map((effort) => repetitionsAt(repetitionRanges.clear, 'clear', effort))).toEqual([5, 10, 10]);
  });
});

describe('fitting a course', () => {
  const read = mustRead(
    anatomy,
    makeCase(['leg.left'], { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] }),
  );
  const course = writeCourse(anatomy, read, surveyCase(anatomy, read), { withReturn: true });
  const [least, usual, most] = [-1, 0, 1].map((effort) => courseSeconds(course, effort)) as [number, number, number];

  it('grows with effort', () => {
    expect(least).toBeLessThan(usual);
    expect(usual).toBeLessThan(most);
  });

  it('uses the time as far as it goes, never more', () => {
    fc.assert(
      fc.property(fc.integer({ min: least, max: most + 600 }), (budget) => {
        const effort = fitEffort(course, budget, 1);
        expect(effort).toBeDefined();
        expect(courseSeconds(course, effort ?? NaN)).toBeLessThanOrEqual(budget);
      }),
    );
  });

  it('stops at the usual unless it is told to fill, and gives up below the least', () => {
    expect(fitEffort(course, most * 2, 0)).toBe(0);
    expect(fitEffort(course, most * 2, 1)).toBe(1);
    expect(fitEffort(course, least - 1, 1)).toBeUndefined();
    expect(courseSeconds(course, fitEffort(course, least, 0) ?? NaN)).toBe(least);
  });

  it('numbers the settled steps and puts each into words', () => {
    const steps = settle(anatomy, read, course, 0);
    expect(steps.map((s) => s.id)).toEqual(course.map((_, i) => `s${i + 1}`));
    expect(steps.reduce((sum, s) => sum + s.seconds, 0)).toBe(usual);
    expect(steps.every((s) => s.why.endsWith('.'))).toBe(true);
  });
});
