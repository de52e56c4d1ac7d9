/** Guessing at doors is slowed down for everybody together: a house has few people, and a row of tries is one of them. */
const windowMs = 60_000;
const mostTries = 60;
const doors: ReadonlySet<string> = new Set(['/api/session', '/api/session/unlock']);
let tries: number[] = [];

/** Whether one more try at a door is too many within a minute. */
export function isTooFast(method: string, path: string, nowMs: number): boolean {
  if (method !== 'POST' || !doors.has(path)) return false;
  tries = tries.filter((at) => nowMs - at < windowMs);
  tries.push(nowMs);
  return tries.length > mostTries;
}
