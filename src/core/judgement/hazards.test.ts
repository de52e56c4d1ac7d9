import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import type { Family, Trait } from '../library/technique';
import { carriesHazard } from './hazards';

const technique = (traits: readonly Trait[], family: Family = 'hold') => ({ traits, family });
const carries = (modality: string, traits: readonly Trait[], places: readonly string[], family?: Family) =>
  carriesHazard(anatomy, modality, technique(traits, family), places);

describe('what a technique is judged as, whatever treatment it stands in', () => {
  it.each([
    ['hot-stone', 'heat'],
    ['cold-stone', 'cold'],
    ['facial-intraoral', 'inside-mouth'],
    ['thoracic-pump', 'compresses-chest'],
    ['abdominal-massage', 'deep-belly'],
    ['spine-oil-layering', 'neat-drops'],
    ['aromatherapy', 'scented'],
    ['neck-mobilisation', 'traction'],
    ['breathing', 'breath-linked'],
  ] as const)('%s: by %s alone', (modality, trait) => {
    expect(carries(modality, [trait], ['calf.left'])).toBe(true);
    expect(carries(modality, [], ['calf.left'])).toBe(false);
  });

  it('counts a pinch as facial massage on the face and neck, not on the leg', () => {
    expect(carries('facial-massage', ['pinch'], ['cheek.left'])).toBe(true);
    expect(carries('facial-massage', ['pinch'], ['calf.left'])).toBe(false);
    expect(carries('facial-massage', ['pinch'], ['calf.left', 'cheek.left'])).toBe(true);
  });

  it('counts kneading as body massage on trunk and limbs, not on the face', () => {
    expect(carries('body-massage', [], ['calf.left'], 'petrissage')).toBe(true);
    expect(carries('body-massage', [], ['cheek.left'], 'petrissage')).toBe(false);
  });

  it('knows the groups of head and neck as well as their skin', () => {
    expect(carries('facial-massage', ['friction'], ['submandibular.left'])).toBe(true);
    expect(carries('facial-massage', ['friction'], ['axillary.left'])).toBe(false);
  });

  it('says no of a kind of work that has no danger of its own', () => {
    expect(carries('consultation', ['heat', 'cold', 'pinch'], ['cheek.left'])).toBe(false);
  });

  it('finds heat in every technique of the library that brings it, and in no other', () => {
    for (const one of shippedLibrary.techniques.values())
      expect(carriesHazard(anatomy, 'hot-stone', one, ['back-upper.left']), one.id).toBe(one.traits.includes('heat'));
  });
});
