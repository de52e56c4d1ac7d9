import { describe, expect, it } from 'vitest';
import { dropsByOil, droppedInWords, droppedOf } from './dropped';
import type { TableEvent } from './table-event';

const fell = (stepId: string, oil: string, drops: number, second: number): TableEvent => ({
  ...{ id: `${stepId} ${second}`, kind: 'drops', stepId, oil, drops, planVersion: 1 },
  at: `2026-03-02T10:00:${String(second).padStart(2, '0')}.000Z`,
});

describe('drops that fell at the table', () => {
  it('are what was counted last in each step, so that a press too many can be taken back', () => {
    const events = [fell('a', 'lavender', 1, 1), fell('a', 'lavender', 2, 2), fell('a', 'lavender', 1, 3)];
    expect(droppedOf(events)).toEqual([{ stepId: 'a', oil: 'lavender', drops: 1 }]);
  });

  it('of one oil in several steps add up', () => {
    const events = [fell('a', 'lavender', 3, 1), fell('b', 'cypress', 2, 2), fell('c', 'lavender', 4, 3)];
    expect(dropsByOil(droppedOf(events))).toEqual({ lavender: 7, cypress: 2 });
    expect(dropsByOil(droppedOf(events), 'c')).toEqual({ lavender: 3, cypress: 2 });
  });

  it('are none where the count went back to none, and other events do not count', () => {
    const mark: TableEvent = { ...fell('a', 'lavender', 3, 1), id: 'mark', kind: 'mark', mark: 'redness' };
    expect(droppedOf([fell('a', 'lavender', 1, 1), fell('a', 'lavender', 0, 2), mark])).toEqual([]);
  });

  it('are a sentence for the note, and none where nothing fell', () => {
    const dropped = droppedOf([fell('a', 'lavender', 3, 1), fell('b', 'cypress', 2, 2)]);
    expect(droppedInWords(dropped, { lavender: 'Lavender' })).toEqual([
      'Dropped straight onto the skin: lavender 3, cypress 2.',
    ]);
    expect(droppedInWords([], {})).toEqual([]);
  });
});
