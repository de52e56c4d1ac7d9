import type { TableEvent } from './table-event';

/** Each event once, where it stands first. */
export function onceEach(events: readonly TableEvent[]): readonly TableEvent[] {
  const seen = new Set<string>();
  return events.filter(({ id }) => !seen.has(id) && seen.add(id));
}

/**
 * What the house has and what a device still keeps, as one list without doubles: first as the house stored it, then
 * what only the device knows, by its own numbers. Only one device leads, so the house's order is the order of its presses.
 */
export function mergeEvents(house: readonly TableEvent[], own: readonly TableEvent[]): readonly TableEvent[] {
  const numbered = [...own].sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
  return onceEach([...house, ...numbered]);
}
