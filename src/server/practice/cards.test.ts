import { addDays, addMinutes } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { skills } from '../../core/training/skills';
import { isDue, rated, sureness } from './cards';
import { inTurn } from './next-drill';
import { cardColumn, type PracticeCard } from './practice.documents';

const now = new Date('2026-05-04T18:00:00Z');
const known = (days: number, at = now): PracticeCard => ({
  ...rated(undefined, 'easy', addDays(at, -days)),
  stability: 10,
  dueAt: addDays(at, 10 - days).toISOString(),
  state: 2,
});

describe('a card of a skill', () => {
  it('that went badly comes back within the session', () => {
    const card = rated(undefined, 'again', now);
    expect(isDue(card, now)).toBe(false);
    expect(isDue(card, addMinutes(now, 10))).toBe(true);
  });

  it('that went well comes back later the better it went', () => {
    const due = (['again', 'hard', 'good', 'easy'] as const).map((rating) => rated(undefined, rating, now).dueAt);
    expect(due).toEqual([...due].sort());
  });

  it('comes back farther apart each time it is known', () => {
    let card = rated(undefined, 'good', now);
    let at = now;
    const gaps: number[] = [];
    for (let i = 0; i < 5; i += 1) {
      const due = new Date(card.dueAt);
      gaps.push(due.getTime() - at.getTime());
      at = due;
      card = rated(card, 'good', at);
    }
    expect(gaps).toEqual([...gaps].sort((a, b) => a - b));
    expect(card.repetitions).toBe(6);
  });

  it('counts a lapse when it is forgotten after all', () => {
    const card = rated(known(10), 'again', now);
    expect(card.lapses).toBe(1);
    expect(card.stability).toBeLessThan(10);
  });

  it('is the surer the longer it has held, and less so with each day', () => {
    expect(sureness({ ...known(0), stability: 2 }, now)).toBeLessThan(sureness({ ...known(0), stability: 12 }, now));
    const days = [0, 2, 5, 9, 20].map((day) => sureness(known(0), addDays(now, day)));
    expect(days).toEqual([...days].sort((a, b) => b - a));
  });

  it('is kept and read as what it is, whatever was answered', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('again', 'hard', 'good', 'easy'), { minLength: 1, maxLength: 12 }),
        fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 12, maxLength: 12 }),
        (ratings, gaps) => {
          let at = now;
          let card: PracticeCard | undefined;
          for (const [i, rating] of ratings.entries()) {
            at = addDays(at, gaps[i] ?? 0);
            card = rated(card, rating, at);
            expect(cardColumn.read(cardColumn.write(card))).toEqual(card);
            const sure = sureness(card, at);
            expect(sure).toBeGreaterThanOrEqual(0);
            expect(sure).toBeLessThanOrEqual(1);
            expect(card.dueAt > at.toISOString()).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('the skill that is most worth practising', () => {
  const some = skills.slice(0, 4);
  const [a, b, c, d] = some.map(({ id }) => id) as [string, string, string, string];

  it('is the one that is due and least sure', () => {
    const cards = new Map([
      [a, { ...known(12), stability: 9 }],
      [b, { ...known(30), stability: 3 }],
      [c, known(1)],
    ]);
    expect(inTurn(some, cards, now)[0]?.id).toBe(b);
  });

  it('is one that was never asked where nothing is due, in the order in which it is taught', () => {
    expect(inTurn(some, new Map([[a, known(1)]]), now)[0]?.id).toBe(b);
    expect(inTurn(some, new Map(), now)[0]?.id).toBe(a);
  });

  it('is the least sure of all where all are known and none is due', () => {
    const cards = new Map([
      [a, known(1)],
      [b, known(5)],
      [c, known(8)],
      [d, known(2)],
    ]);
    expect(inTurn(some, cards, now)[0]?.id).toBe(c);
  });
});
