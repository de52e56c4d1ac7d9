import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isFree, proposeStarts } from './propose';

const hours = { fromMinute: 540, toMinute: 1080 };
const wish = { minutes: 60, tidyMinutes: 15, warmUpMinutes: 0, notBeforeMinute: 0 };

describe('times for a visit', () => {
  it('fit into the hours, on the quarter', () => {
    const starts = proposeStarts(hours, [], wish).map((p) => p.startMinute);
    expect(Math.min(...starts)).toBe(540);
    expect(Math.max(...starts)).toBe(1020);
    expect(starts.every((start) => start % 15 === 0)).toBe(true);
  });

  it('stand close to what is booked, with time to tidy in between', () => {
    const [best] = proposeStarts(hours, [{ fromMinute: 540, toMinute: 600 }], wish);
    expect(best).toMatchObject({ startMinute: 615, gapMinutes: 0 });
  });

  it('leave stones the time to get warm, though another may be on the table meanwhile', () => {
    const warm = { ...wish, warmUpMinutes: 40 };
    expect(Math.min(...proposeStarts(hours, [], warm).map((p) => p.startMinute))).toBe(585);
    const [best] = proposeStarts(hours, [{ fromMinute: 540, toMinute: 600 }], warm);
    expect(best).toMatchObject({ startMinute: 615, warmUpFromMinute: 575 });
  });

  it('do not lie in the past, and are none when the day is full', () => {
    expect(proposeStarts(hours, [], { ...wish, notBeforeMinute: 1000 }).map((p) => p.startMinute)).toEqual([
      1020, 1005,
    ]);
    expect(proposeStarts(hours, [{ fromMinute: 560, toMinute: 1070 }], wish)).toEqual([]);
  });

  it('never collide, whatever is booked', () => {
    const span = fc.record({ from: fc.integer({ min: 500, max: 1100 }), length: fc.integer({ min: 10, max: 120 }) });
    fc.assert(
      fc.property(
        fc.array(span, { maxLength: 6 }),
        fc.integer({ min: 10, max: 120 }),
        fc.integer({ min: 0, max: 30 }),
        (spans, minutes, tidyMinutes) => {
          const taken = spans.map(({ from, length }) => ({ fromMinute: from, toMinute: from + length }));
          for (const { startMinute, gapMinutes } of proposeStarts(hours, taken, { ...wish, minutes, tidyMinutes })) {
            expect(isFree(taken, startMinute, startMinute + minutes, tidyMinutes)).toBe(true);
            expect(startMinute).toBeGreaterThanOrEqual(hours.fromMinute);
            expect(startMinute + minutes).toBeLessThanOrEqual(hours.toMinute);
            expect(gapMinutes).toBeGreaterThanOrEqual(0);
          }
        },
      ),
    );
  });
});
