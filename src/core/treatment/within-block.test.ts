import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { judged } from '../../../tests/judged-client';
import type { Technique } from '../library/technique';
import type { TreatmentBlock, TreatmentStep } from './block';
import { orderFaults, startFor } from './order';
import { faultsWithin } from './within-block';

const [back] = judged(['stones-back']).blocks;
const stroke = (change: Partial<Technique>, of: Partial<TreatmentStep> = {}): TreatmentStep => {
  const step = back?.steps[0];
  if (!step) throw new Error('a protocol of the back without steps');
  const plain: Technique = {
    ...step.technique,
    hands: 'any',
    pressure: 'light',
    traits: [],
    direction: 'towards-heart',
  };
  return { ...step, pressure: 'light', ...of, technique: { ...plain, ...change } };
};
function block(steps: readonly TreatmentStep[], change: Partial<TreatmentBlock> = {}): TreatmentBlock {
  if (!back) throw new Error('a protocol of the back without blocks');
  return { ...back, hands: 'oiled', ...change, steps: steps.map((step, i) => ({ ...step, id: `s${i}` })) };
}
const rulesOf = (steps: readonly TreatmentStep[], heatless?: ReadonlySet<string>) =>
  faultsWithin(block(steps), heatless).map(({ rule, step }) => `${rule} ${step}`);

describe('strokes along the spine', () => {
  it('run beside it, never on it', () => {
    expect(rulesOf([stroke({ traits: ['on-spine'] })])).toEqual(['spine-beside-not-on s0']);
    expect(rulesOf([stroke({ traits: ['beside-spine'] })])).toEqual([]);
  });

  it('are not drops that fall on it, nor hands that rest there', () => {
    expect(rulesOf([stroke({ traits: ['on-spine', 'neat-drops'] })])).toEqual([]);
    expect(rulesOf([stroke({ traits: ['on-spine'], direction: 'none' })])).toEqual([]);
  });
});

describe('heat', () => {
  const warm = stroke({ traits: ['heat'] }, { places: ['calf.left'] });

  it('stays off a limb that is swollen or at risk, whatever brings it', () => {
    expect(rulesOf([warm], new Set(['calf.left']))).toEqual(['no-heat-on-swelling s0']);
    expect(rulesOf([warm], new Set(['calf.right']))).toEqual([]);
  });

  it('is not said of cool hands at the same place', () => {
    expect(rulesOf([stroke({}, { places: ['calf.left'] })], new Set(['calf.left']))).toEqual([]);
  });
});

describe('gloved work', () => {
  const gloved = stroke({ hands: 'gloved' });
  const bare = stroke({});

  it('is not interrupted within a block', () => {
    expect(rulesOf([gloved, bare, gloved])).toEqual(['gloves-on-off s1']);
    expect(rulesOf([bare, gloved, gloved, bare])).toEqual([]);
  });

  it('is not taken up a second time after bare hands', () => {
    const mouth = block([gloved], { id: 'mouth', hands: 'gloved' });
    const again = block([gloved], { id: 'again', hands: 'gloved' });
    const face = block([bare], { id: 'face' });
    const faults = (order: readonly TreatmentBlock[]) =>
      orderFaults(anatomy.groups, order, [], startFor(order))
        .filter(({ rule }) => rule === 'gloves-on-off')
        .map(({ then }) => then);
    expect(faults([mouth, face, again])).toEqual(['again']);
    expect(faults([mouth, again, face])).toEqual([]);
    expect(faults([face, mouth, again])).toEqual([]);
  });
});

describe('a limb at risk', () => {
  it('gives the look-over its places', () => {
    const conditions = [{ id: 'nodes-removed-inguinal', side: 'left', date: '2023-06-12' }] as const;
    const { heatless = new Set() } = judged(['stones-back'], conditions);
    const legs = [...anatomy.groups.leg];
    expect(legs.some((name) => heatless.has(`${name}.left`))).toBe(true);
    expect(legs.some((name) => heatless.has(`${name}.right`))).toBe(false);
  });
});
