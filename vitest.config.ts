import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['src/**/*.test.{ts,tsx}', 'tests/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'served',
          include: ['tests/api/**/*.test.ts', 'tests/journeys/**/*.test.ts'],
          globalSetup: ['tests/serve.setup.ts'],
          fileParallelism: false,
          testTimeout: 180_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
