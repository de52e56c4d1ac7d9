/** Guessing is slowed down for everybody together: a house has few people, and a row of tries is one of them. */
const windowMs = 60_000;
let tries: readonly number[] = [];

/** Whether one more try is too many within a minute, at whichever of the doors that have such a limit. */
export function isTooFast(mostPerMinute: number | undefined, nowMs: number): boolean {
  if (mostPerMinute === undefined) return false;
  tries = [...tries.filter((at) => nowMs - at < windowMs), nowMs];
  return tries.length > mostPerMinute;
}
