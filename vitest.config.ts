import { defineConfig } from 'vitest/config';
import { giveTestsAClock } from './tests/clock/test-day';

giveTestsAClock(process.env);
const setupFiles = ['tests/clock/shifted.mjs'];

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.{ts,tsx}', 'tests/*.test.ts', 'tests/clock/*.test.ts'],
          testTimeout: 60_000,
          setupFiles,
        },
      },
      {
        test: {
          name: 'served',
          include: ['tests/api/**/*.test.ts', 'tests/journeys/**/*.test.ts'],
          globalSetup: ['tests/serve.setup.ts'],
          fileParallelism: false,
          testTimeout: 180_000,
          hookTimeout: 120_000,
          setupFiles,
        },
      },
    ],
  },
});
