import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Found, foundKinds, type FoundAt, remember } from './remembered';

const tight: Found = { kind: 'tighter', place: 'shoulder-cap.right' };
const at = (daysAgo: number, ...found: readonly Found[]): FoundAt => ({ daysAgo, found });
/** One visit a week, the newest a week ago: 1 where it was found. */
const weekly = (pattern: string) =>
  [...pattern].map((one, i) => at(7 * (pattern.length - i), ...(one === '1' ? [tight] : [])));

describe('what hands found', () => {
  it('is nothing where nothing was found', () => expect(remember([at(3), at(10)])).toEqual([]));

  it('says how often, as long as there are few visits', () => {
    expect(remember(weekly('101'))[0]).toMatchObject({
      times: 2,
      visits: 3,
      words: '2 of 3 visits',
      wasLastTime: true,
    });
    expect(remember(weekly('1'))[0]?.words).toBe('1 of 1 visit');
  });

  it('says in two halves whether it comes less often now', () => {
    expect(remember(weekly('1101100010'))[0]?.words).toBe('4 of 5 visits, then 1 of 5');
    expect(remember(weekly('1111000'))[0]?.words).toBe('4 of 4 visits, then 0 of 3');
  });

  it('looks back on ten visits and no more', () => {
    expect(remember(weekly('11111111110000000000'))).toEqual([]);
    expect(remember(weekly(`1${'0'.repeat(9)}`))[0]).toMatchObject({ times: 1, visits: 10 });
  });

  it('fades by half in a month', () => {
    expect(remember([at(0, tight)])[0]?.presence).toBe(1);
    expect(remember([at(30, tight)])[0]?.presence).toBeCloseTo(0.5);
    expect(remember([at(90, tight), at(60, tight)])[0]?.presence).toBeCloseTo(0.25);
  });

  it('keeps kinds and sides apart, the most present first', () => {
    const tender: Found = { kind: 'tender', place: 'shoulder-cap.left' };
    const found = remember([at(60, tight), at(3, tender)]);
    expect(found.map(({ kind, place }) => [kind, place])).toEqual([
      ['tender', 'shoulder-cap.left'],
      ['tighter', 'shoulder-cap.right'],
    ]);
  });

  it('never counts more than there were, and never fades below nothing', () => {
    const found = fc.record({
      kind: fc.constantFrom(...foundKinds),
      place: fc.constantFrom('calf-upper.left', 'shoulder-cap.right', 'cheek.left'),
    });
    const visit = fc.record({ daysAgo: fc.integer({ min: -1, max: 900 }), found: fc.array(found, { maxLength: 4 }) });
    fc.assert(
      fc.property(fc.array(visit, { maxLength: 14 }), (visits) => {
        const all = remember(visits);
        for (const one of all) {
          expect(one.times).toBeGreaterThan(0);
          expect(one.times).toBeLessThanOrEqual(one.visits);
          expect(one.presence).toBeGreaterThan(0);
          expect(one.presence).toBeLessThanOrEqual(1);
        }
        expect(all.map(({ presence }) => presence)).toEqual(
          all.map(({ presence }) => presence).toSorted((a, b) => b - a),
        );
      }),
    );
  });
});
