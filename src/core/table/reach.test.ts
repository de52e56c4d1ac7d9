import { describe, expect, it } from 'vitest';
import { reachFor } from './reach';
import type { TableStep } from './table-step';

const step = (id: string, tool?: string, changes?: readonly string[]): TableStep => ({
  ...{ id, kind: 'soften', place: 'back-upper.left', toward: null, via: [], pressure: 'light', repetitions: 3 },
  ...{ placements: 1, seconds: 30, rules: [], why: '', cautions: [], changes },
  told: { title: id, how: '', cue: '', note: '', block: 'b', count: 'repetitions', places: [], tool },
});

describe('what to reach for', () => {
  it('is told one step ahead: what changes, a new tool, a new blend', () => {
    const next = step('b', 'roller', ['Oil on the hands.']);
    const oilOf = (of: TableStep) => (of.id === 'b' ? 'Evening oil' : undefined);
    expect(reachFor(step('a'), next, oilOf)).toEqual([
      'Oil on the hands.',
      'Take up the roller.',
      '“Evening oil” within reach.',
    ]);
  });

  it('is nothing while the same hands go on, and water at the end', () => {
    const oilOf = () => 'Evening oil';
    expect(reachFor(step('a', 'roller'), step('b', 'roller'), oilOf)).toEqual([]);
    expect(reachFor(step('a'), undefined, oilOf)[0]).toContain('Water');
  });

  it('names the bottle of the next layer, with its drops', () => {
    const next = step('b');
    const dropped = { oil: 'cypress', name: 'Cypress', drops: 6 };
    const layer = { ...next, told: { ...(next.told ?? step('c').told), dropped } } as TableStep;
    expect(reachFor(step('a'), layer, () => undefined)).toEqual(['Take up the cypress: 6 drops.']);
  });
});
