/** The moment at which tests begin when nobody asks for another: a working day, before its visits. */
const usualStart = '2026-11-25T09:30:00';

/** The day on which the house of the tests begins, `2026-11-25`: its visits stand there also when midnight has passed. */
export function houseDay(env: NodeJS.ProcessEnv): string {
  const start = env['VELVET_STONE_TEST_START'] ?? usualStart;
  return (start === 'now' ? new Date().toISOString() : start).slice(0, 10);
}

/**
 * Gives the tests, their servers and their pages one clock, so that they hold on any day and at any hour.
 * `VELVET_STONE_TEST_START` (local time, `2026-12-31T09:30:00`) asks for another day; `now` for that of the machine.
 */
export function giveTestsAClock(env: NodeJS.ProcessEnv): void {
  if (env['VELVET_STONE_CLOCK_OFFSET_MS'] !== undefined) return;
  const start = env['VELVET_STONE_TEST_START'] ?? usualStart;
  const offsetMs = start === 'now' ? 0 : Date.parse(start) - Date.now();
  if (Number.isNaN(offsetMs)) throw new Error(`VELVET_STONE_TEST_START is no moment: ${start}`);
  env['VELVET_STONE_CLOCK_OFFSET_MS'] = String(offsetMs);
}
