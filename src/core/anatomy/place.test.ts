import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { areaIds, expandArea } from './areas';
import { getPlace, getTerritory, isInFront, limbOf, mirrorOf, nameOf, sideOf } from './place';

const anyPlace = fc.constantFrom(...anatomy.territories.keys(), ...anatomy.basins.keys());

describe('places on the body', () => {
  it('splits an id into name and side', () => {
    expect([nameOf('thigh-upper-outer.left'), sideOf('thigh-upper-outer.left')]).toEqual(['thigh-upper-outer', 'left']);
    expect(sideOf('thoracic-duct.mid')).toBe('mid');
  });

  it('mirrors twice to itself, and always to a place that exists', () => {
    fc.assert(
      fc.property(anyPlace, (id) => {
        expect(mirrorOf(mirrorOf(id))).toBe(id);
        expect(() => getPlace(anatomy, mirrorOf(id))).not.toThrow();
      }),
    );
  });

  it('throws with the id for a place that is not there, and for a group where skin is meant', () => {
    expect(() => getPlace(anatomy, 'tail.left')).toThrow('tail.left');
    expect(() => getTerritory(anatomy, 'axillary.left')).toThrow('axillary.left');
  });

  it('knows what can be reached without turning', () => {
    expect(isInFront(anatomy, 'thigh-upper-outer.left')).toBe(true);
    expect(isInFront(anatomy, 'palm.right')).toBe(true);
    expect(isInFront(anatomy, 'back-upper.left')).toBe(false);
    expect(isInFront(anatomy, 'axillary.left')).toBe(true);
  });

  it('counts arms and legs as limbs, the seat not', () => {
    expect(limbOf(getTerritory(anatomy, 'wrist.right'))).toBe('arm.right');
    expect(limbOf(getTerritory(anatomy, 'buttock.left'))).toBeUndefined();
    expect(limbOf(getTerritory(anatomy, 'cheek.left'))).toBeUndefined();
  });
});

describe('areas', () => {
  it('each open into at least one territory, every one of the named side', () => {
    for (const id of areaIds) {
      const territories = expandArea(anatomy, id) ?? [];
      expect(territories.length, id).toBeGreaterThan(0);
      const side = id.split('.')[1];
      if (side) expect(new Set(territories.map(sideOf)), id).toEqual(new Set([side]));
    }
  });

  it('cover the body: legs, arms, trunk, neck, face and scalp leave nothing out', () => {
    const all = new Set(expandArea(anatomy, 'whole-body'));
    const named = [
      'leg.left',
      'leg.right',
      'arm.left',
      'arm.right',
      'trunk-upper.left',
      'trunk-upper.right',
      'trunk-lower.left',
      'trunk-lower.right',
      'neck',
      'face',
    ];
    for (const id of named.flatMap((area) => expandArea(anatomy, area) ?? [])) all.delete(id);
    expect([...all].map(nameOf).every((name) => name.startsWith('scalp-') || name === 'ear')).toBe(true);
  });
});
