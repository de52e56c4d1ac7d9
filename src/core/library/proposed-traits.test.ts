import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { proposedTraits } from './proposed-traits';
import { families } from './technique';

const all = [...shippedLibrary.techniques.values()];

describe('traits that are usual for a family', () => {
  it('are those that most of it have', () => {
    expect(proposedTraits('stone-glide', all).has('heat')).toBe(true);
    expect(proposedTraits('brush', all).has('stimulating')).toBe(true);
    expect(proposedTraits('brush', all).has('heat')).toBe(false);
  });

  it('are had by six of ten at least, for every family', () => {
    for (const family of families)
      for (const trait of proposedTraits(family, all)) {
        const own = all.filter((one) => one.family === family);
        const having = own.filter(({ traits }) => traits.includes(trait));
        expect(having.length / own.length, `${family} ${trait}`).toBeGreaterThanOrEqual(0.6);
      }
  });

  it('are none for a family that has hardly any technique', () => {
    expect(proposedTraits('brush', all.filter(({ family }) => family === 'brush').slice(0, 2)).size).toBe(0);
  });
});
