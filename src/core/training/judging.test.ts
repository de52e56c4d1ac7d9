import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import type { DrillKind, Level } from './kinds';
import { drawOf } from './draw';
import { type AnswerOf, markDrill, type QuestionOf, questionOf } from './drills';
import { readPace } from './pace';

const wishOf = <K extends DrillKind>(kind: K, level: Level, seed: number) => ({ kind, level, seed });

function mark<K extends DrillKind>(kind: K, level: Level, seed: number, answer: AnswerOf<K>) {
  const marked = markDrill(books, wishOf(kind, level, seed), answer);
  if (!marked.ok) throw new Error(marked.errors[0]?.message);
  return marked.value;
}
function bestOf<K extends DrillKind>(kind: K, level: Level, seed: number): AnswerOf<K> {
  const marked = markDrill(books, wishOf(kind, level, seed), null);
  if (!marked.ok) throw new Error('given up is no error');
  return marked.value.best as AnswerOf<K>;
}
const asked = <K extends DrillKind>(kind: K, level: Level, seed: number) =>
  questionOf(books, wishOf(kind, level, seed)).question as QuestionOf<K>;
const rules = ({ faults }: { readonly faults: readonly { readonly rule: string }[] }) => faults.map(({ rule }) => rule);
const seeds = Array.from({ length: 30 }, (_, i) => i);

describe('an order of steps', () => {
  it('that is shuffled is worse than the planner’s, and says why', () => {
    for (const seed of seeds.slice(0, 10)) {
      const { order } = bestOf('order', 2, seed);
      const marked = mark('order', 2, seed, { order: drawOf('shuffle', seed).shuffled(order) });
      expect(marked.score).toBeLessThan(1);
      expect(marked.faults[0]?.text.length).toBeGreaterThan(10);
    }
  });

  it('that leaves a step out says which', () => {
    const { order } = bestOf('order', 1, 3);
    expect(rules(mark('order', 1, 3, { order: order.slice(0, -1) }))).toContain('left-out');
  });

  it('with a stroke into closed nodes is worse than without it', () => {
    const { steps, hasWrongSteps } = asked<'order'>('order', 3, 5);
    expect(hasWrongSteps).toBe(true);
    const { order } = bestOf('order', 3, 5);
    const wrong = steps.map(({ id }) => id).filter((id) => !order.includes(id));
    const marked = mark('order', 3, 5, { order: [...order, ...wrong] });
    expect(rules(marked)).toContain('no-blocked-target');
    expect(marked.score).toBeLessThan(mark('order', 3, 5, { order: order.slice(0, -1) }).score);
  });
});

describe('a way round', () => {
  it('through closed nodes is not lawful', () => {
    const { from } = asked<'route'>('route', 2, 4);
    const [side = ''] = from.split('.').slice(-1);
    const limb = from.startsWith('upper-arm') || from.startsWith('shoulder') ? 'axillary' : 'inguinal';
    const closed = `${limb}.${side}`;
    const marked = mark('route', 2, 4, { open: [closed], path: [from, closed] });
    expect(rules(marked)).toContain('no-blocked-target');
    expect(marked.score).toBeLessThanOrEqual(0.5);
  });

  it('whose end nobody opened is at fault for that alone', () => {
    const { path } = bestOf('route', 3, 8);
    expect(rules(mark('route', 3, 8, { open: [], path }))).toEqual(['basin-before-skin']);
  });

  it('has to begin where the fluid is, and to end in nodes', () => {
    const { open, path } = bestOf('route', 2, 1);
    expect(rules(mark('route', 2, 1, { open, path: path.slice(1) }))).toContain('beginning');
    expect(rules(mark('route', 2, 1, { open, path: path.slice(0, -1) }))).toContain('ends-in-nodes');
  });
});

describe('a stroke', () => {
  it('is right within 25°, nearly within 60°, and worst against the flow', () => {
    for (const seed of seeds) {
      const { degrees } = bestOf('direction', 1, seed);
      const scored = (off: number) => mark('direction', 1, seed, { degrees: degrees + off }).score;
      expect(scored(24)).toBe(1);
      expect(scored(-24)).toBe(1);
      expect(scored(50)).toBe(0.6);
      expect(scored(180)).toBe(0);
    }
  });
});

describe('a minute of strokes', () => {
  it('counts trembling once', () => {
    const { taps } = bestOf('pace', 1, 0);
    const trembling = taps.flatMap((ms) => [ms, ms + 60, ms + 140]);
    expect(mark('pace', 1, 0, { taps: trembling })).toMatchObject({ score: 1, faults: [] });
  });

  it('that was left half-way does not count', () => {
    const { taps } = bestOf('pace', 1, 0);
    expect(rules(mark('pace', 1, 0, { taps: taps.slice(0, 20) }))).toEqual(['whole-minute']);
  });

  it('that drifts is told by how much', () => {
    const slowing = Array.from({ length: 60 }, (_, i) => i).reduce<readonly number[]>(
      (sound, i) => [...sound, (sound.at(-1) ?? 0) + 900 + 8 * i],
      [0],
    );
    const { drift } = readPace(slowing) ?? { drift: 0 };
    expect(drift).toBeGreaterThan(0.2);
    expect(rules(mark('pace', 1, 0, { taps: slowing }))).toContain('drift');
  });

  it('of even gaps has no spread and no drift', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 4000 }), fc.integer({ min: 5, max: 60 }), (everyMs, count) => {
        const pace = readPace(Array.from({ length: count }, (_, i) => i * everyMs));
        expect(pace?.meanS).toBeCloseTo(everyMs / 1000);
        expect(pace?.spread).toBeCloseTo(0);
        expect(pace?.drift).toBeCloseTo(0);
      }),
    );
  });
});

describe('a stone', () => {
  it('that burns is worth nothing; one that is milder than it might be is worth something', () => {
    for (const seed of seeds) {
      const best = bestOf('heat', 2, seed);
      expect(mark('heat', 2, seed, { firstC: 65, seconds: 900 }).score).toBe(0);
      const mild = mark('heat', 2, seed, { firstC: best.firstC - 3, seconds: best.seconds });
      expect(mild.score).toBeGreaterThan(0.5);
      expect(mild.score).toBeLessThan(1);
    }
  });
});

describe('a stone that is over what practice allows', () => {
  const tooHot = (level: Level, seed: number, byC: number) =>
    mark('heat', level, seed, { firstC: bestOf('heat', level, seed).firstC + byC, seconds: 20 });

  it('is too hot at the first touch, and may be worth nothing without burning', () => {
    const marked = seeds.map((seed) => tooHot(2, seed, 1));
    for (const one of marked) expect(rules(one)).toContain('first-touch');
    expect(marked.some((one) => one.score === 0 && !rules(one).includes('burn'))).toBe(true);
  });

  it('is said to burn only where it does: on bare skin, not through a towel', () => {
    const burns = (level: Level) =>
      seeds
        .slice(0, 15)
        .some((seed) => rules(mark('heat', level, seed, { firstC: 65, seconds: 900 })).includes('burn'));
    expect(burns(2)).toBe(false);
    // Only the last level lays stones on bare skin.
    expect(burns(4)).toBe(true);
  });
});

describe('drops', () => {
  it('of what is not for the client are worth nothing', () => {
    const shut = seeds.find((seed) => bestOf('drops', 4, seed).notForClient);
    if (shut === undefined) throw new Error('no case in which nothing may be used');
    const { oils } = asked<'drops'>('drops', 4, shut);
    const drops = Object.fromEntries(oils.map(({ id }) => [id, 1]));
    expect(mark('drops', 4, shut, { drops }).score).toBe(0);
  });

  it('in plenty are over the limits', () => {
    const { drops = {} } = bestOf('drops', 1, 2);
    const plenty = Object.fromEntries(Object.keys(drops).map((id) => [id, 60]));
    expect(mark('drops', 1, 2, { drops: plenty }).score).toBeLessThan(0.2);
  });

  it('are not refused to somebody for whom they are right', () => {
    expect(mark('drops', 1, 2, { notForClient: true }).score).toBeLessThan(0.5);
  });
});

describe('a decision', () => {
  it('that lets go on what should have been stopped weighs most', () => {
    const isStopped = (seed: number) =>
      Object.values(bestOf('screen', 3, seed).decisions).some((one) => one === 'stop' || one === 'refer');
    const seed = Array.from({ length: 200 }, (_, i) => i).find(isStopped);
    if (seed === undefined) throw new Error('no case that is stopped');
    const best = bestOf('screen', 3, seed);
    const free = Object.fromEntries(Object.keys(best.decisions).map((id) => [id, 'ok' as const]));
    const strict = Object.fromEntries(Object.keys(best.decisions).map((id) => [id, 'stop' as const]));
    const missed = mark('screen', 3, seed, { ...best, decisions: free });
    expect(missed.score).toBeLessThanOrEqual(0.1);
    expect(mark('screen', 3, seed, { ...best, decisions: strict }).score).toBeGreaterThan(missed.score);
  });
});

describe('two runs of the tape', () => {
  it('told as a change where none can be told mislead most', () => {
    const seed = seeds.find((one) => bestOf('change', 2, one).verdict === 'not-to-be-told');
    if (seed === undefined) throw new Error('no case that cannot be told');
    expect(mark('change', 2, seed, { verdict: 'changed' })).toMatchObject({ score: 0 });
    expect(rules(mark('change', 2, seed, { verdict: 'slipped' }))).toEqual(['not-to-be-told']);
  });
});
