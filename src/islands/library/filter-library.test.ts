import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import type { Entry } from '../../contracts/library-views';
import { filterProtocols, filterTechniques, noFilter, regionsByTechnique } from './filter-library';
import { directionRoutes, placesOfStep, regionMarks } from './library-marks';

const entry = <T>(value: T): Entry<T> => ({ value, origin: 'shipped', version: 0, differences: [] });
const techniques = [...shippedLibrary.techniques.values()].map(entry);
const protocols = [...shippedLibrary.protocols.values()].map((value) => ({ ...entry(value), seconds: 0 }));
const used = regionsByTechnique(protocols);
const names = (list: readonly Entry<{ readonly id: string }>[]) => list.map(({ value }) => value.id);

describe('finding in the library', () => {
  it('takes what was found by words, best first, and leaves out the rest', () => {
    const found = new Map([
      ['effleurage', undefined],
      ['node-clear', undefined],
    ]);
    expect(names(filterTechniques(techniques, noFilter, used, found))).toEqual(['effleurage', 'node-clear']);
    expect(filterTechniques(techniques, noFilter, used, new Map())).toEqual([]);
    expect(filterTechniques(techniques, noFilter, used)).toHaveLength(techniques.length);
    expect(names(filterProtocols(protocols, noFilter, new Map([['belly', undefined]])))).toEqual(['belly']);
  });

  it('narrows by hands, family, kind of work, school and minutes', () => {
    const gloved = filterTechniques(techniques, { ...noFilter, hands: 'gloved' }, used);
    expect(gloved).toHaveLength(4);
    const short = filterProtocols(protocols, { ...noFilter, mostMinutes: 10, modality: 'home-self-care' });
    expect(short.every(({ value }) => value.usualMinutes <= 10)).toBe(true);
    expect(names(filterProtocols(protocols, { ...noFilter, school: 'forehead-first' }))).toEqual(['firming-facial']);
    expect(filterTechniques(techniques, { ...noFilter, family: 'scalp' }, used)).toHaveLength(11);
  });

  it('goes by a region of the body', () => {
    const eye = filterTechniques(techniques, { ...noFilter, region: 'eyelid-lower' }, used);
    expect(names(eye)).toEqual(expect.arrayContaining(['eye-circle', 'eye-flush']));
    expect(names(filterProtocols(protocols, { ...noFilter, region: 'sole' }))).toContain('oil-leg-foot-belly-arm');
  });
});

describe('a technique on the body', () => {
  it('is shown on its sides, with arrows to the node group or away from it', () => {
    const places = placesOfStep({ regions: ['cheek'], side: 'left' });
    expect(places).toEqual(['cheek.left']);
    const [route] = directionRoutes(places, 'towards-node');
    expect(route?.path[0]).toBe('cheek.left');
    expect(directionRoutes(places, 'node-outward')[0]?.path.at(-1)).toBe('cheek.left');
    expect(directionRoutes(places, 'across-line')).toEqual([]);
    expect(regionMarks(places, 'worked').get('cheek.left')?.words).toBe('worked');
    expect(placesOfStep({ regions: ['terminus'], side: 'each' })).toEqual(['terminus.left', 'terminus.right']);
  });
});
