import { describe, expect, it } from 'vitest';
import { guessPeopleColumns, missingForPeople, nobodyRead, readPerson } from './people-rows';

const read = (head: string, row: string, dateOrder: 'day-month-year' | 'month-day-year' = 'day-month-year') =>
  readPerson(row.split(';'), { columns: guessPeopleColumns(head.split(';')), dateOrder });

describe('a table of people', () => {
  it('is understood by its heads, however they are written', () => {
    expect(guessPeopleColumns(['Surname', 'First name', 'Date of Birth', 'Mobile', 'E-Mail', 'ZIP', 'City'])).toEqual({
      ...{ family: 0, given: 1, born: 2, phone: 3, email: 4, postcode: 5, town: 6 },
    });
    expect(guessPeopleColumns(['Client', 'Birthday (date)', 'height_cm'])).toEqual({ name: 0, heightCm: 2 });
  });

  it('needs a column with names', () => {
    expect(missingForPeople({ columns: { phone: 0 } })).toEqual(['which column holds the name']);
    expect(missingForPeople({ columns: { family: 0 } })).toEqual([]);
  });

  it('puts names and addresses together where they come in parts', () => {
    expect(read('last name;first name;street;zip;city;country', 'Ahorn;Zoë;Quay 3;2610;Brel;Norrland')).toEqual({
      ok: true,
      person: { ...nobodyRead, name: 'Zoë Ahorn', address: 'Quay 3, 2610 Brel, Norrland' },
    });
    expect(read('name;given name;address;city', 'Zoë Ahorn;Z.;Quay 3, Brel;Brel')).toMatchObject({
      person: { name: 'Zoë Ahorn', address: 'Quay 3, Brel' },
    });
  });

  it.each([
    ['18.04.2025', 'day-month-year', '2025-04-18'],
    ['4/18/2025', 'month-day-year', '2025-04-18'],
    ['2025-04-18', 'day-month-year', '2025-04-18'],
    ['2025-04-18 00:00:00', 'day-month-year', '2025-04-18'],
    ['', 'day-month-year', null],
  ] as const)('reads %s (%s) as %s', (text, order, bornOn) => {
    expect(read('name;born', `Zoë;${text}`, order)).toMatchObject({ person: { bornOn } });
  });

  it.each([
    ['168', 168],
    ['1,68', 168],
    ['1.68 m', 168],
    ['168.5 cm', 168.5],
  ])('reads a height of %s as %s cm', (text, heightCm) => {
    expect(read('name;height', `Zoë;${text}`)).toMatchObject({ person: { heightCm } });
  });

  it('names what it cannot read', () => {
    expect(read('name;born', 'Zoë;30.2.2025')).toMatchObject({
      role: 'born',
      message: expect.stringContaining('30.2.2025') as string,
    });
    expect(read('name;height', 'Zoë;tall')).toMatchObject({ role: 'heightCm' });
  });

  it('takes names back from what spreadsheets were kept from working out', () => {
    expect(read('name;note', "'=Zoë;'+1")).toMatchObject({ person: { name: '=Zoë', note: '+1' } });
  });

  it('gives nobody a value that the row is too short for', () => {
    expect(read('name;born;phone', 'Zoë')).toEqual({ ok: true, person: { ...nobodyRead, name: 'Zoë' } });
  });
});
