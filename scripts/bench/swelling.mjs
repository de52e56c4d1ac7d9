import { report, timed } from './report.mjs';

/** The trend of two years of weekly tapings, all pairs looked at. */
export async function benchTrend(load) {
  const { trendOf } = await load('/src/core/swelling/trend.ts');
  const points = Array.from({ length: 104 }, (_, i) => ({
    date: new Date(Date.UTC(2024, 0, 1 + 7 * i)).toISOString().slice(0, 10),
    value: 900 - i + (i % 7) * 9,
  }));
  report(
    'trend of 104 tapings',
    timed(() => trendOf(points), 100, 50),
  );
}
