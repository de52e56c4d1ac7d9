import { describe, expect, it } from 'vitest';
import type { ImportDouble } from '../../contracts/client-imports';
import { outcomeOf, wayOf } from './outcome';

const double = (row: number, change: Partial<ImportDouble> = {}): ImportDouble => ({
  ...{ row, name: 'Ida Moor', bornOn: null, why: 'same name', earlierRow: null, gains: ['phone'] },
  known: { id: row, name: 'Ida Moor', bornOn: null },
  ...change,
});
const view = {
  fresh: 5,
  doubles: [double(2), double(3, { gains: [] }), double(4, { known: null, earlierRow: 2, gains: [] })],
  doubleCount: 3,
  gainCount: 1,
};
const none = new Map<number, 'add'>();

describe('what an import would come to', () => {
  it('is the new ones only while doubles are left out', () => {
    expect(outcomeOf(view, { all: 'leave-out', apart: none })).toEqual({ added: 5, completed: 0 });
  });

  it('completes only records that would gain something', () => {
    expect(outcomeOf(view, { all: 'complete', apart: none })).toEqual({ added: 5, completed: 1 });
  });

  it('counts those that are treated apart, and those beyond the list as all', () => {
    const decision = { all: 'complete', apart: new Map([[3, 'add' as const]]) } as const;
    expect(wayOf(decision, 3)).toBe('add');
    expect(wayOf(decision, 2)).toBe('complete');
    expect(outcomeOf({ ...view, doubleCount: 10, gainCount: 4 }, decision)).toEqual({ added: 6, completed: 4 });
    const but = { all: 'complete', apart: new Map([[2, 'leave-out' as const]]) } as const;
    expect(outcomeOf({ ...view, doubleCount: 10, gainCount: 4 }, but)).toEqual({ added: 5, completed: 3 });
    expect(outcomeOf({ ...view, doubleCount: 10 }, { all: 'add', apart: none })).toEqual({ added: 15, completed: 0 });
  });
});
