import { defineConfig } from 'vitest/config';
import { giveTestsAClock } from './tests/clock/test-day';

giveTestsAClock(process.env);
const setupFiles = ['tests/clock/shifted.mjs', 'tests/seed.setup.ts'];

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          // What endpoints log of faults that the tests make is noise here.
          env: { LOG_LEVEL: 'silent' },
          include: ['src/**/*.test.{ts,tsx}', 'tests/*.test.ts', 'tests/clock/*.test.ts'],
          // Threads that keep their modules: loading the catalogue anew for each file took longer than the tests.
          pool: 'threads',
          isolate: false,
          maxWorkers: 2,
          sequence: { groupOrder: 0 },
          testTimeout: 60_000,
          hookTimeout: 60_000,
          setupFiles,
        },
      },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          globalSetup: ['tests/api/shared-house.ts'],
          fileParallelism: false,
          sequence: { groupOrder: 1 },
          testTimeout: 180_000,
          hookTimeout: 120_000,
          setupFiles,
        },
      },
      {
        test: {
          name: 'journeys',
          include: ['tests/journeys/**/*.test.ts'],
          // What a busy machine shows a moment later is no fault.
          expect: { poll: { timeout: 20_000 } },
          globalSetup: ['tests/journeys/first-day.ts'],
          maxWorkers: 2,
          sequence: { groupOrder: 2 },
          testTimeout: 180_000,
          hookTimeout: 120_000,
          setupFiles: [...setupFiles, 'tests/journeys/house.setup.ts'],
        },
      },
    ],
  },
});
