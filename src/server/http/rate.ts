/** Guessing is slowed down by address: who tries much keeps nobody else out. */
const windowMs = 60_000;
const tries = new Map<string, readonly number[]>();

/** Whether one more try from an address is too many within a minute, at whichever of the doors that have such a limit. */
export function isTooFast(mostPerMinute: number | undefined, address: string, nowMs: number): boolean {
  if (mostPerMinute === undefined) return false;
  const recent = (tries.get(address) ?? []).filter((at) => nowMs - at < windowMs);
  if (recent.length >= mostPerMinute) return true;
  tries.set(address, [...recent, nowMs]);
  if (tries.size > 1000)
    for (const [other, times] of tries) if (times.every((at) => nowMs - at >= windowMs)) tries.delete(other);
  return false;
}
