import { report, timed } from './report.mjs';

const uses = ['sleep', 'muscle-ease', 'calming', 'uplifting', 'circulation'];
const shelves = 10;

/** The best blend of eight candidates in bottles of three sizes, over ten shelves each. */
export async function benchBlends(load) {
  const { oilBook } = await load('/src/catalogue/oils/oils.ts');
  const { bestBlend } = await load('/src/core/oils/best/best-blend.ts');
  const ids = [...oilBook.oils.keys()];
  for (const volumeMl of [10, 30, 100]) {
    const requests = Array.from({ length: shelves }, (_, k) => {
      const shelf = new Set(Array.from({ length: 8 }, (__, j) => ids[(k * 7 + j * 5) % ids.length]));
      return {
        ...{ volumeMl, area: 'body', targetPercent: 2.5, maxOils: 4, notes: { top: 0.3, middle: 0.5, base: 0.2 } },
        client: { age: null, conditions: [], skin: 'normal' },
        candidates: [...shelf].map((oil, j) => ({ oil, costPerDrop: 2 + ((j * 7) % 11), maxDrops: 60 })),
        wanted: [
          { use: uses[k % 5], weight: 2 },
          { use: uses[(k * 3 + 1) % 5], weight: 1 },
        ],
      };
    });
    let turn = 0;
    report(
      `best blend, eight candidates, ${volumeMl} mL`,
      timed(() => bestBlend(oilBook, requests[(turn += 1) % shelves])),
      'under 100 ms',
    );
  }
}
