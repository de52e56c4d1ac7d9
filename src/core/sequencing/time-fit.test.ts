import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySteps, step } from '../../../tests/any-treatment';
import { fitTime, penaltyOf } from './time-fit';

describe('repetitions in the time there is', () => {
  it('are the usual ones when they fit, and no more', () => {
    expect(fitTime([step('a'), step('b')], 600)).toEqual({
      fits: true,
      shortBySeconds: 0,
      penalty: 0,
      usedSeconds: 116,
      repetitions: [
        { id: 'a', repetitions: 5 },
        { id: 'b', repetitions: 5 },
      ],
      leftOut: [],
    });
  });

  it('give way first where it matters least', () => {
    const fit = fitTime([step('face', { weight: 3 }), step('arms')], 106);
    expect(fit.repetitions).toEqual([
      { id: 'face', repetitions: 5 },
      { id: 'arms', repetitions: 4 },
    ]);
    expect(fit.penalty).toBeCloseTo((1 / 5) ** 2, 12);
  });

  it('leave an optional step out rather than shorten much else', () => {
    const fit = fitTime([step('a', { weight: 9 }), step('extra', { optional: true, weight: 0.1 })], 60);
    expect(fit).toMatchObject({ leftOut: ['extra'], usedSeconds: 58 });
    expect(fit.penalty).toBeCloseTo(0.15, 12);
  });

  it('say by how many seconds even the least is too long', () => {
    const fit = fitTime([step('a'), step('b', { optional: true })], 30);
    expect(fit).toMatchObject({ fits: false, shortBySeconds: 8, usedSeconds: 38, leftOut: ['b'] });
  });

  it('spend what is left over on the steps that may be stretched', () => {
    const fit = fitTime([step('a', { stretchable: true }), step('b')], 140, true);
    expect(fit.repetitions.map(({ repetitions }) => repetitions)).toEqual([7, 5]);
    expect(fit.usedSeconds).toBe(136);
    expect(fit.penalty).toBeCloseTo(0.25 * (2 / 5) ** 2, 12);
    expect(fitTime([step('a', { stretchable: true }), step('b')], 900, true).usedSeconds).toBe(146);
  });

  it('count half seconds, and take nothing of no time', () => {
    const drumming = step('drum', { secondsPerRepetition: 1.5, overheadSeconds: 0, min: 1, usual: 3, max: 3 });
    expect(fitTime([drumming], 4.4).repetitions).toEqual([{ id: 'drum', repetitions: 2 }]);
    expect(fitTime([], 0)).toMatchObject({ fits: true, usedSeconds: 0, repetitions: [] });
  });

  it('never take more than there is, nor leave their limits', () => {
    fc.assert(
      fc.property(anySteps(12), fc.integer({ min: 0, max: 900 }), fc.boolean(), (steps, available, fill) => {
        const fit = fitTime(steps, available, fill);
        if (fit.fits) expect(fit.usedSeconds).toBeLessThanOrEqual(available);
        else expect(fit.usedSeconds - fit.shortBySeconds).toBe(available);
        for (const { id, repetitions } of fit.repetitions) {
          const own = steps.find((one) => one.id === id);
          expect(repetitions >= (own?.min ?? 0) && repetitions <= (own?.max ?? 0)).toBe(true);
        }
        for (const id of fit.leftOut) expect(steps.find((one) => one.id === id)?.optional).toBe(true);
        expect(fit.repetitions.length + fit.leftOut.length).toBe(steps.length);
        const penalties = steps.map((one) =>
          penaltyOf(one, fit.repetitions.find(({ id }) => id === one.id)?.repetitions ?? 0),
        );
        expect(fit.penalty).toBeCloseTo(
          penalties.reduce((sum, penalty) => sum + penalty, 0),
          9,
        );
      }),
    );
  });

  it('do not get worse with more time', () => {
    fc.assert(
      fc.property(anySteps(10), fc.integer({ min: 0, max: 600 }), fc.nat(60), (steps, available, more) => {
        const [less, most] = [fitTime(steps, available), fitTime(steps, available + more)];
        if (less.fits) expect(most.fits && most.penalty <= less.penalty + 1e-9).toBe(true);
      }),
    );
  });
});
