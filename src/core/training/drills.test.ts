import { describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import { drillKinds, levels } from './kinds';
import { markDrill, questionOf } from './drills';

const seeds = Array.from({ length: Number(process.env['SEEDS'] ?? 500) }, (_, i) => i);

describe.each(drillKinds)('the drill “%s”', (kind) => {
  it.each(levels)('makes a sound case of every seed at level %i, and its best answer is right', (level) => {
    for (const seed of seeds) {
      const wish = { kind, level, seed };
      const { question, key } = questionOf(books, wish);
      expect(key).toBe(`${kind}-${level}-${seed}`);
      expect(question).toBeTruthy();
      if (seed % 10 > 0) continue;
      const givenUp = markDrill(books, wish, null);
      if (!givenUp.ok) throw new Error('given up is no error');
      expect(givenUp.value).toMatchObject({ score: 0, faults: [] });
      const best = markDrill(books, wish, givenUp.value.best);
      expect({ seed, best }).toMatchObject({ seed, best: { ok: true, value: { score: 1, faults: [] } } });
    }
  });

  it('asks the same of the same seed', () => {
    const wish = { kind, level: 2, seed: 7 } as const;
    expect(JSON.stringify(questionOf(books, wish))).toBe(JSON.stringify(questionOf(books, wish)));
  });
});
