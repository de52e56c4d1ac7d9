import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { judged } from '../../../tests/judged-client';
import type { Technique } from '../library/technique';
import type { TreatmentBlock, TreatmentStep } from './block';
import { rulesBetween } from './cross-block';

const [sample] = judged(['stones-back']).blocks;

/** A block of one step, with what is not said as plain as can be. */
function block(
  id: string,
  change: Partial<TreatmentBlock> = {},
  step: Partial<TreatmentStep> = {},
  technique: Partial<Technique> = {},
) {
  const first = sample?.steps[0];
  if (!sample || !first) throw new Error('a protocol of the back without steps');
  const plain: Technique = { ...first.technique, family: 'hold', pressure: 'light', traits: [], ...technique };
  const own: TreatmentStep = {
    ...first,
    id: `${id}-1`,
    regions: ['back-upper'],
    places: ['back-upper.left'],
    ...step,
    technique: plain,
  };
  const base = { ...sample, id, choice: id, after: [], isOrdered: false, side: 'both' as const, hands: 'dry' as const };
  return { ...base, twin: undefined, modality: 'body-massage', ...change, steps: [own] } as TreatmentBlock;
}
const asked = (...blocks: readonly TreatmentBlock[]) =>
  rulesBetween(anatomy.groups, blocks).rules.map(
    ({ first, then, rule, severity }) => `${first} ${then} ${rule} ${severity}`,
  );

describe('what one block asks of another', () => {
  it('is nothing of two that touch different places', () => {
    const legs = { regions: ['calf'], places: ['calf.left'] };
    expect(asked(block('back', { hands: 'oiled' }), block('leg', {}, legs))).toEqual([]);
  });

  it('is dry work before oil, on the same place', () => {
    expect(asked(block('oil', { hands: 'oiled' }), block('dry'))).toEqual(['dry oil dry-before-oil error']);
  });

  it('is brushing before everything else there', () => {
    expect(asked(block('dry'), block('brush', { hands: 'brush' }))).toEqual(['brush dry brush-before-oil error']);
  });

  it('is hot before cool', () => {
    const hot = block('hot', { hands: 'stone' }, {}, { family: 'stone-glide' });
    const cool = block('cool', { hands: 'stone' }, {}, { family: 'stone-cool' });
    expect(asked(cool, hot)).toContain('hot cool hot-then-cool error');
  });

  it('is broad and light before what is intense, as advice', () => {
    const broad = block('broad', {}, {}, { family: 'effleurage', pressure: 'light' });
    const deep = block('deep', {}, {}, { family: 'petrissage', pressure: 'firm', traits: ['intense'] });
    expect(asked(deep, broad)).toEqual(['broad deep warm-before-deep warning']);
  });

  it('is rest at the end of all', () => {
    const rest = block('rest', {}, { regions: ['calf'], places: ['calf.left'] }, { id: 'rest' as Technique['id'] });
    expect(asked(rest, block('back'), block('oil', { hands: 'oiled' }))).toEqual(
      expect.arrayContaining(['back rest rest-last error', 'oil rest rest-last error']),
    );
  });
});

describe('the order that a protocol gives its own parts', () => {
  const parts = (change: Partial<TreatmentBlock> = {}) => [
    block('one', { choice: 'c' }),
    block('two', { choice: 'c', isOrdered: true, ...change }),
  ];

  it('is kept where it is the teaching', () => {
    expect(asked(...parts())).toEqual(['one two protocol-order error']);
    expect(asked(...parts({ isOrdered: false }))).toEqual([]);
    expect(asked(...parts({ isOrdered: false, after: ['one'] }))).toEqual(['one two protocol-order error']);
  });

  it('goes before what is asked between its parts', () => {
    const oilFirst = [block('oil', { choice: 'c', hands: 'oiled' }), block('dry', { choice: 'c', isOrdered: true })];
    const { rules, conflicts } = rulesBetween(anatomy.groups, oilFirst);
    expect(rules.map(({ rule }) => rule)).toEqual(['protocol-order']);
    expect(conflicts.map(({ rule }) => rule)).toEqual(['dry-before-oil']);
  });
});

describe('rules that ask for opposite orders', () => {
  it('never leave a ring: each block can be begun when those before it are over', () => {
    const protocols = ['stones-back', 'aroma-whole-body', 'face-sculpt', 'dry-brush-whole', 'mouth-gloved'];
    const known = protocols.flatMap((id) => {
      try {
        return judged([id]).blocks.length > 0 ? [id] : [];
      } catch {
        return [];
      }
    });
    expect(known.length).toBeGreaterThan(1);
    const { blocks } = judged(known);
    const { rules } = rulesBetween(anatomy.groups, blocks);
    const waits = new Map(
      blocks.map(({ id }) => [id, new Set(rules.filter(({ then }) => then === id).map(({ first }) => first))]),
    );
    for (let left = waits.size; left > 0; left -= 1) {
      const ready = [...waits].find(([, firsts]) => firsts.size === 0)?.[0];
      expect(ready).toBeDefined();
      waits.delete(ready ?? '');
      for (const firsts of waits.values()) firsts.delete(ready ?? '');
    }
  });
});
