import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { editsBetween, nearness, plainLetters } from './nearness';

describe('nearness of a typed word', () => {
  it('forgives accents and capitals', () => {
    expect(plainLetters('Zoë Søndergård-Łuk')).toBe('zoe sondergard-luk');
  });

  it('counts a letter left out, added, changed, or two swapped, as one edit', () => {
    for (const typed of ['fenwik', 'fennwick', 'fenwock', 'fewnick']) expect(editsBetween(typed, 'fenwick', 3)).toBe(1);
    expect(editsBetween('abc', 'xyz', 1)).toBe(2);
  });

  it('takes beginnings, and is stricter with short words', () => {
    expect(nearness('ott', ['ottilie', 'fenwick'])).toBe(0);
    expect(nearness('otilie', ['ottilie', 'fenwick'])).toBe(1);
    expect(nearness('fenvik', ['ottilie', 'fenwick'])).toBeUndefined();
    expect(nearness('oti', ['ottilie'])).toBeUndefined();
    expect(nearness('', ['ottilie'])).toBe(0);
  });

  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 7 });
  it('is the same both ways, nothing for the same word, and never more than the longer one', () => {
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(editsBetween(a, b, 20)).toBe(editsBetween(b, a, 20));
        expect(editsBetween(a, a, 20)).toBe(0);
        expect(editsBetween(a, b, 20)).toBeLessThanOrEqual(Math.max(a.length, b.length));
      }),
    );
  });
});
