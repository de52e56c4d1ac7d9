import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { bareLabel } from '../../core/anatomy/place-labels';
import type { Entry } from '../../contracts/library-views';
import { librarySearch } from './search-library';

const entry = <T>(value: T): Entry<T> => ({ value, origin: 'shipped', version: 0, differences: [] });
const places = [...anatomy.territories.keys(), ...anatomy.basins.keys()];
const search = librarySearch({
  techniques: [...shippedLibrary.techniques.values()].map(entry),
  protocols: [...shippedLibrary.protocols.values()].map((value) => ({ ...entry(value), seconds: 0 })),
  regions: places.map((id) => ({ name: id.split('.')[0] ?? id, label: bareLabel(anatomy, id) })),
});
const techniques = (text: string) => [...search.techniques(text).keys()];
const protocols = (text: string) => [...search.protocols(text).keys()];

/** What therapists type, and a technique or protocol that has to be among the first ten. */
const asked: readonly (readonly [text: string, of: 'technique' | 'protocol', id: string])[] = [
  ['clavicle', 'protocol', 'open-and-clear'],
  ['nasolabial', 'protocol', 'mouth-gloved'],
  ['hyoid', 'protocol', 'neck-release'],
  ['unwinding', 'protocol', 'neck-release'],
  ['MLD', 'protocol', 'leg-drainage'],
  ['knee', 'protocol', 'oil-leg-foot-belly-arm'],
  ['stretch', 'technique', 'skin-stretch'],
  ['belly breath', 'technique', 'belly-breath'],
  ['tummy', 'protocol', 'belly'],
  ['constipation', 'protocol', 'belly'],
  ['puffy eyes', 'technique', 'eye-flush'],
  ['crows feet', 'protocol', 'firming-facial'],
  ['TMJ', 'protocol', 'mouth-gloved'],
  ['scalp', 'protocol', 'scalp-shoulders'],
  ['gua sha', 'protocol', 'tool-neck-jaw'],
  ['roller', 'protocol', 'face-roller'],
  ['cellulite', 'protocol', 'dry-brush-body'],
  ['sole', 'protocol', 'oil-leg-foot-belly-arm'],
  ['armpit', 'protocol', 'open-and-clear'],
  ['double chin', 'protocol', 'lifting-facial'],
];
/** Words that have to find something. */
const words = [
  ...['oedema', 'edema', 'mastectomy', 'sternum', 'scapula', 'jaw', 'headache', 'calf', 'sinus', 'frown', 'lymph'],
  ...['shoulder', 'glutes', 'buttock', 'ankle', 'gloves', 'temple', 'ear', 'neck pain', 'back pain', 'forehead'],
];

describe('looking through the library', () => {
  it.each(asked)('“%s” finds the %s %s', (text, of, id) => {
    const found = of === 'technique' ? techniques(text) : protocols(text);
    expect(found.slice(0, 12)).toContain(id);
  });

  it.each(words)('“%s” finds something of either kind, or at least of one', (text) => {
    expect(techniques(text).length + protocols(text).length).toBeGreaterThan(0);
  });

  it.each([
    ['clavicel', 'clavicle'],
    ['nasolabal', 'nasolabial'],
    ['effluerage', 'effleurage'],
    ['mastectmy', 'mastectomy'],
    ['brething', 'breathing'],
  ])('“%s”, misspelt, finds what “%s” finds', (misspelt, right) => {
    const found = techniques(misspelt);
    expect(
      techniques(right)
        .slice(0, 3)
        .some((id) => found.includes(id)),
    ).toBe(true);
  });

  it('knows one and many, capitals and accents as the same', () => {
    expect(techniques('NODES')).toEqual(techniques('node'));
    expect(techniques('nóde')).toEqual(techniques('node'));
  });

  it('puts what is called so before what only mentions it', () => {
    expect(techniques('effleurage')[0]).toBe('effleurage');
    expect(protocols('neck release')[0]).toBe('neck-release');
  });

  it('says why, in words, unless the name says it', () => {
    expect(search.techniques('clavicle').values().next().value).toMatchObject({ by: 'words' });
    const [why] = [...search.protocols('hyoid').values()];
    expect(why?.by).toBe('steps');
    expect(why?.phrase.toLowerCase()).toContain('hyoid');
    expect(search.protocols('neck release').get('neck-release')).toBeUndefined();
    expect(search.protocols('calf').values().next().value).toMatchObject({
      phrase: expect.stringMatching(/calf/i) as string,
    });
  });

  it('takes all words where something has them all, and some where nothing has', () => {
    expect(protocols('hot stones back')[0]).toBe('stones-back');
    expect(techniques('effleurage zzzzzz').length).toBeGreaterThan(0);
    expect(techniques('zzzzzz')).toEqual([]);
  });
});
