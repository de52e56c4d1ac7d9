import { describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import { ruleIds } from '../drainage/rules';
import { drawOf } from './draw';
import { markDrill, questionOf, skillsIn } from './drills';
import { courseKinds, drillKinds, levels } from './kinds';
import { drillNames } from './names';
import { skillBehind, skillOf, skills } from './skills';

const seeds = Array.from({ length: 12 }, (_, i) => i);

describe('what drills teach', () => {
  it('has a title, a kind and an id of its own for every skill', () => {
    expect(new Set(skills.map(({ id }) => id)).size).toBe(skills.length);
    expect(new Set(skills.map(({ title }) => title)).size).toBe(skills.length);
    for (const { id, kind, title } of skills) {
      expect(skillOf(id)).toEqual({ id, kind, title });
      expect(title.length).toBeGreaterThan(5);
    }
  });

  it('knows nothing of what an older program may have taught', () => {
    expect(skillOf('juggling')).toBeUndefined();
  });

  it.each(drillKinds)('teaches at least one skill by “%s”, and the kind has a name', (kind) => {
    expect(skills.some((skill) => skill.kind === kind)).toBe(true);
    expect(drillNames[kind].length).toBeGreaterThan(3);
  });

  it('puts a rule with the skill of the drill at hand', () => {
    expect(skillBehind('order', 'no-blocked-target')).toBe('closed-nodes');
    expect(skillBehind('route', 'no-blocked-target')).toBe('round-closed');
    expect(skillBehind('order', 'basin-before-skin')).toBe('open-before-stroke');
    expect(skillBehind('route', 'basin-before-skin')).toBe('open-the-end');
  });

  it('gives no skill of another kind for a rule', () => {
    for (const kind of drillKinds)
      for (const rule of [...ruleIds, 'limit', 'drift', 'guide', 'slipped', 'nonsense']) {
        const id = skillBehind(kind, rule);
        if (id !== undefined) expect(skillOf(id)?.kind).toBe(kind);
      }
  });
});

describe.each(drillKinds)('a case of “%s”', (kind) => {
  it.each(levels)('asks for skills of its own kind at level %i', (level) => {
    for (const seed of seeds) {
      const asked = skillsIn(books, { kind, level, seed });
      expect(asked.length).toBeGreaterThan(0);
      for (const id of asked) expect(skillOf(id)?.kind).toBe(kind);
    }
  });

  it('shows nothing broken where the answer is right, and all of it where it is given up', () => {
    for (const seed of seeds.slice(0, 4)) {
      const wish = { kind, level: 2, seed } as const;
      const givenUp = markDrill(books, wish, null);
      if (!givenUp.ok) throw new Error('given up is no error');
      expect(givenUp.value.broken).toEqual(givenUp.value.skills);
      expect(markDrill(books, wish, givenUp.value.best)).toMatchObject({ ok: true, value: { score: 1, broken: [] } });
    }
  });
});

describe('every skill', () => {
  it.each(drillKinds)('of “%s” is asked for by some case', (kind) => {
    const unasked = new Set(skills.filter((skill) => skill.kind === kind).map(({ id }) => id));
    for (let seed = 0; seed < 160 && unasked.size > 0; seed += 1)
      for (const level of levels)
        if (unasked.size > 0) for (const id of skillsIn(books, { kind, level, seed })) unasked.delete(id);
    expect([...unasked]).toEqual([]);
  });
});

describe('a wrong order', () => {
  it('has its faults at the steps that they are found at, and at those that were left out', () => {
    for (const seed of seeds) {
      const wish = { kind: 'order', level: 4, seed } as const;
      const best = markDrill(books, wish, null);
      if (!best.ok) throw new Error('given up is no error');
      const [first = '', ...rest] = (best.value.best as { readonly order: readonly string[] }).order;
      const marked = markDrill(books, wish, { order: rest.toReversed() });
      if (!marked.ok) throw new Error('an order of its own steps is no error');
      const { faults } = marked.value;
      expect(faults.find(({ rule, step }) => rule === 'left-out' && step === first)).toBeDefined();
      for (const { step } of faults) expect([first, ...rest]).toContain(step);
    }
  });

  it('breaks skills that its faults belong to', () => {
    for (const seed of seeds) {
      const wish = { kind: 'order', level: 2, seed } as const;
      const { question } = questionOf(books, wish);
      const ids = (question as { readonly steps: readonly { readonly id: string }[] }).steps.map(({ id }) => id);
      const marked = markDrill(books, wish, { order: drawOf('wrong', seed).shuffled(ids) });
      if (!marked.ok) throw new Error('a shuffled order is an answer');
      expect(marked.value.faults.length > 0).toBe(marked.value.broken.length > 0);
      for (const id of marked.value.broken) expect(skillOf(id)?.kind).toBe('order');
    }
  });
});

describe('drills on a course of a plan', () => {
  it('are the two on bodies that have steps and ways', () => expect(courseKinds).toEqual(['order', 'route']));
});
