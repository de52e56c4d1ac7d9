/** A little of the blend in the crook of the elbow, covered, and read after one and two days. */

export const patchReadings = ['clear', 'mild', 'strong'] as const;
export type PatchReading = (typeof patchReadings)[number];

const hourMs = 3_600_000;
const patchHours = [24, 48] as const;

/** When a test that was placed is to be read (ISO times). */
export const patchDueAt = (placedAt: string): readonly string[] =>
  patchHours.map((hours) => new Date(Date.parse(placedAt) + hours * hourMs).toISOString());

export type PatchState = 'waiting' | 'due' | 'clear' | 'reacted';

/** Where a test stands: a reaction ends it; clear only after the second reading. */
export function patchState(
  placedAt: string,
  readings: readonly { readonly readAt: string; readonly reading: PatchReading }[],
  now: string,
): PatchState {
  if (readings.some(({ reading }) => reading !== 'clear')) return 'reacted';
  const due = patchDueAt(placedAt);
  const last = due.at(-1) ?? placedAt;
  if (readings.some(({ readAt }) => readAt >= last)) return 'clear';
  const next = due[Math.min(readings.length, due.length - 1)] ?? last;
  return now >= next ? 'due' : 'waiting';
}
