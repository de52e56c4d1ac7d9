import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Recognised } from './doubles';
import { PeopleIndex } from './people-index';

const zoe: Recognised = {
  name: 'Zoë Ahorn',
  bornOn: '1968-04-18',
  phone: '+49 151 220 41',
  email: 'zoe@ahorn.example',
};
const nobody: Recognised = { name: '', bornOn: null, phone: '', email: '' };
const index = new PeopleIndex<string>();
index.add(zoe, 'zoe');
index.add({ ...nobody, name: 'Ida Moor', phone: '(0) 4402 / 118.90' }, 'ida');

describe('somebody among many', () => {
  it.each<[string, Partial<Recognised>, string, string]>([
    ['by name and birthday', { name: 'zoe ahorn', bornOn: '1968-04-18' }, 'zoe', 'name-and-birthday'],
    ['by a misspelt name and birthday', { name: 'Zoe Ahron', bornOn: '1968-04-18' }, 'zoe', 'name-and-birthday'],
    ['by family name first', { name: 'Ahorn Zoe', bornOn: '1968-04-18' }, 'zoe', 'name-and-birthday'],
    ['by half a name and birthday', { name: 'Zoë', bornOn: '1968-04-18' }, 'zoe', 'name-and-birthday'],
    ['by a second given name on top', { name: 'Zoë Maria Ahorn', bornOn: '1968-04-18' }, 'zoe', 'name-and-birthday'],
    ['by number, however it is written', { name: 'Zoe Ahorm', phone: '+4915122041' }, 'zoe', 'name-and-phone'],
    ['by number with brackets and strokes', { name: 'Ida Mohr', phone: '0440211890' }, 'ida', 'name-and-phone'],
    ['by address', { name: 'Zoe', email: ' ZOE@ahorn.example' }, 'zoe', 'name-and-email'],
    ['by the name alone', { name: 'Zoë  Ahorn' }, 'zoe', 'name'],
    ['by the name, a birthday being known here only', { name: 'Ida Moor', bornOn: '1980-01-01' }, 'ida', 'name'],
  ])('is found %s', (_what, known, key, why) => {
    expect(index.find({ ...nobody, ...known })).toEqual({ key, why });
  });

  it.each<[string, Partial<Recognised>]>([
    ['a shared number under another name', { name: 'Una Quill', phone: '+4915122041' }],
    ['a shared birthday', { name: 'Una Quill', bornOn: '1968-04-18' }],
    ['a namesake with another birthday', { name: 'Zoë Ahorn', bornOn: '1991-01-02' }],
    ['a namesake with another birthday at the same number', { ...zoe, bornOn: '1991-01-02' }],
    ['a misspelt name alone', { name: 'Zoe Ahron' }],
    ['a number without a name', { phone: '+4915122041' }],
    ['nothing', {}],
  ])('is not %s', (_what, known) => {
    expect(index.find({ ...nobody, ...known })).toBeUndefined();
  });

  it('is the first who came where several are as like', () => {
    const twins = new PeopleIndex<number>();
    twins.add(zoe, 1);
    twins.add(zoe, 2);
    twins.add(zoe, 3);
    expect(twins.find(zoe)?.key).toBe(1);
  });

  it('is always found as they were added', () => {
    const person = fc.record({
      name: fc.stringMatching(/^[A-Zé][a-zø]{2,8} [A-Z][a-z]{2,8}$/),
      bornOn: fc.option(fc.constantFrom('1968-04-18', '1991-01-02')),
      phone: fc.constantFrom('', '0151 220 41', '0151 / 9'),
      email: fc.constantFrom('', 'a@b.example'),
    });
    fc.assert(
      fc.property(fc.array(person, { minLength: 1, maxLength: 20 }), (people) => {
        const all = new PeopleIndex<number>();
        people.forEach((one, i) => all.add(one, i));
        return people.every((one) => all.find(one) !== undefined);
      }),
    );
  });
});
