import { execFileSync } from 'node:child_process';
import { addDays, isSunday } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { giveTestsAClock } from './test-day';

const hourMs = 3_600_000;

/** Runs a line in a process of its own whose clock is moved. */
const inProcess = (line: string, offsetMs: number) =>
  execFileSync(process.execPath, ['--import', './tests/clock/shifted.mjs', '-e', `console.log(${line})`], {
    env: { ...process.env, VELVET_STONE_CLOCK_OFFSET_MS: String(offsetMs) },
    encoding: 'utf8',
  }).trim();

describe('the clock of the tests', () => {
  it('moves whoever asks for the time, however they ask', () => {
    expect(Number(inProcess('new Date().getTime() - Date.now()', 48 * hourMs))).toBeCloseTo(0, -2);
    const there = Number(inProcess('Date.now()', 48 * hourMs));
    expect(there - Date.now()).toBeGreaterThan(46 * hourMs - Number(process.env['VELVET_STONE_CLOCK_OFFSET_MS']));
  });

  it('leaves moments that are named, and what they are', () => {
    expect(inProcess('new Date(0).toISOString() + (new Date() instanceof Date)', hourMs)).toBe(
      '1970-01-01T00:00:00.000Ztrue',
    );
    expect(isSunday(addDays(new Date(2026, 10, 28), 1))).toBe(true);
  });

  it('is asked for by day and hour, and refuses what is neither', () => {
    const env = { NODE_ENV: 'test', VELVET_STONE_TEST_START: 'some day' } as const;
    expect(() => giveTestsAClock({ ...env })).toThrow('some day');
    const asked: NodeJS.ProcessEnv = { ...env, VELVET_STONE_TEST_START: 'now' };
    giveTestsAClock(asked);
    expect(asked['VELVET_STONE_CLOCK_OFFSET_MS']).toBe('0');
  });
});
