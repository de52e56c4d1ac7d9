import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { likenessOf, type Recognised } from './doubles';

const zoe: Recognised = { name: 'Zoë Ahorn', bornOn: '1968-04-18', phone: '0151 220 41', email: 'zoe@ahorn.example' };
const nobody: Recognised = { name: '', bornOn: null, phone: '', email: '' };

describe('two records may be of one person', () => {
  it.each<[string, Partial<Recognised>, string | undefined]>([
    ['the same number, however it is written', { phone: '0151-22041' }, 'phone'],
    ['the same address, in capitals', { email: ' ZOE@ahorn.example' }, 'email'],
    [
      'the same name without its accent, and the same birthday',
      { name: 'zoe ahorn', bornOn: '1968-04-18' },
      'name-and-birthday',
    ],
    ['the same name, no birthday', { name: 'Zoë  Ahorn' }, 'name'],
    ['the same name, another birthday', { name: 'Zoë Ahorn', bornOn: '1991-01-02' }, 'name'],
    ['a misspelt name and the same birthday', { name: 'Zoe Ahron', bornOn: '1968-04-18' }, 'near-name-and-birthday'],
    ['a misspelt name, another birthday', { name: 'Zoe Ahron', bornOn: '1991-01-02' }, undefined],
    ['the same birthday alone', { name: 'Una Quill', bornOn: '1968-04-18' }, undefined],
    ['a number too short to be one', { phone: '0151' }, undefined],
    ['nothing at all', {}, undefined],
  ])('%s', (_what, known, likeness) => {
    expect(likenessOf({ ...nobody, ...known }, zoe)).toBe(likeness);
  });

  it('as soon as everything is the same', () => {
    const person = fc.record({
      name: fc.stringMatching(/^[a-z]{3,8} [a-z]{3,8}$/),
      bornOn: fc.constantFrom('1968-04-18', null),
      phone: fc.constantFrom('', '0151 220 41'),
      email: fc.constantFrom('', 'a@b.example'),
    });
    fc.assert(fc.property(person, (one) => likenessOf(one, one) !== undefined));
  });

  it('and one is as like the other as the other is like the one, where it is no matter of spelling', () => {
    const person = fc.record({
      name: fc.constantFrom('Zoë Ahorn', 'Ida Moor', ''),
      bornOn: fc.constantFrom('1968-04-18', '1991-01-02', null),
      phone: fc.constantFrom('', '0151 220 41', '0151 999 99'),
      email: fc.constantFrom('', 'a@b.example'),
    });
    fc.assert(fc.property(person, person, (one, other) => likenessOf(one, other) === likenessOf(other, one)));
  });
});
