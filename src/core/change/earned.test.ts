import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leastClients, leastVisits, togetherInHouse, wentTogether, type WorkedVisit } from './earned';
import { t975 } from './student';

const visit = (work: Record<string, number>, better: Record<string, number>): WorkedVisit => ({
  seconds: new Map(Object.entries(work)),
  better: new Map(Object.entries(better)),
});

/** Five visits with little sweeping, five with much, and how much better each was. */
const sweeping = [
  [60, 10],
  [70, 14],
  [80, 12],
  [60, 9],
  [75, 15],
  [400, 30],
  [420, 34],
  [390, 29],
  [410, 33],
  [405, 34],
].map(([seconds = 0, by = 0]) => visit({ sweep: seconds, hold: 100 }, { excess: by }));

describe('what work went together with', () => {
  it('is told from eight visits on', () => {
    expect(wentTogether(sweeping.slice(0, leastVisits - 1))).toEqual([]);
    expect(wentTogether(sweeping.slice(2)).length).toBe(1);
  });

  it('sets visits with more of it beside those with less, with the interval of the difference', () => {
    const [found] = wentTogether(sweeping);
    expect(found).toMatchObject({ work: 'sweep', figure: 'excess', visits: 10, isApart: true });
    expect(found?.more).toEqual({ visits: 5, meanSeconds: 405, meanBetter: 32 });
    expect(found?.less).toEqual({ visits: 5, meanSeconds: 69, meanBetter: 12 });
    expect(found?.difference).toBe(20);
    // By hand: variances 5.5 and 6.5, standard error √(1.1 + 1.3), 7.9 degrees of freedom.
    expect((found?.high ?? 0) - 20).toBeCloseTo(2.365 * Math.sqrt(2.4), 3);
    expect(20 - (found?.low ?? 0)).toBeCloseTo((found?.high ?? 0) - 20, 9);
  });

  it('says nothing of work that was as long at every visit', () => {
    expect(wentTogether(sweeping).some(({ work }) => work === 'hold')).toBe(false);
  });

  it('says nothing of what was the same after every visit', () => {
    const same = sweeping.map(({ seconds }) => ({ seconds, better: new Map([['pain', 0]]) }));
    expect(wentTogether(same)).toEqual([]);
  });

  it('says nothing where only two visits had more of it', () => {
    const rare = sweeping.map((one, i) => visit({ roll: i < 2 ? 600 : 0 }, Object.fromEntries(one.better)));
    expect(wentTogether(rare)).toEqual([]);
  });

  it('says where it went worse', () => {
    const worse = sweeping.map(({ seconds, better }) => ({
      seconds,
      better: new Map([['tightness', -(better.get('excess') ?? 0)]]),
    }));
    expect(wentTogether(worse)[0]).toMatchObject({ difference: -20, isApart: true });
  });

  it('counts work that a visit did not have as none of it', () => {
    const given = sweeping.map(({ better }, i) => visit(i % 2 === 0 ? { stone: 300 } : {}, Object.fromEntries(better)));
    expect(wentTogether(given)[0]).toMatchObject({ more: { visits: 5, meanSeconds: 300 }, less: { meanSeconds: 0 } });
  });

  it('does not depend on the order of the visits, and turns with the sign of what changed', () => {
    const numbers = fc.array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: -50, max: 50 })), {
      minLength: 8,
      maxLength: 20,
    });
    fc.assert(
      fc.property(numbers, (list) => {
        const visits = list.map(([seconds, by]) => visit({ sweep: seconds }, { excess: by }));
        const turned = list.map(([seconds, by]) => visit({ sweep: seconds }, { excess: -by }));
        const [found, other] = [wentTogether(visits)[0], wentTogether(turned)[0]];
        expect(found === undefined).toBe(other === undefined);
        if (!found || !other) return;
        expect(other.difference).toBeCloseTo(-found.difference, 9);
        expect(found.low).toBeLessThanOrEqual(found.difference);
        expect(found.high).toBeGreaterThanOrEqual(found.difference);
        expect(found.more.visits + found.less.visits).toBe(list.length);
        expect(found.more.meanSeconds).toBeGreaterThan(found.less.meanSeconds);
      }),
    );
  });
});

describe('what went together in the house', () => {
  const client = (difference: number) => [{ work: 'sweep', figure: 'excess', difference }];

  it('is told only of ten clients and more', () => {
    const nine = Array.from({ length: leastClients - 1 }, () => client(12));
    expect(togetherInHouse(nine)).toEqual([]);
    expect(togetherInHouse([...nine, client(12)])).toMatchObject([{ clients: 10, difference: 12, isApart: true }]);
  });

  it('counts each client once, and is as sure as they agree', () => {
    const apart = Array.from({ length: 12 }, (_, i) => client(i % 2 === 0 ? 20 : -18));
    const [found] = togetherInHouse(apart);
    expect(found).toMatchObject({ clients: 12, difference: 1, isApart: false });
    expect(found?.low).toBeLessThan(0);
    expect(found?.high).toBeGreaterThan(0);
  });
});

describe('the points of Student’s t', () => {
  it('are those of the tables, and fall to the normal one', () => {
    expect([1, 7, 7.9, 30].map(t975)).toEqual([12.706, 2.365, 2.365, 2.042]);
    expect(t975(31)).toBeCloseTo(2.04, 2);
    expect(t975(120)).toBeCloseTo(1.98, 2);
    expect(t975(1e9)).toBeCloseTo(1.96, 5);
  });
});
