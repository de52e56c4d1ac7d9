import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nobodyRead } from '../../core/exchange/people-rows';
import { isVCards, readVCards } from './read-vcards';

const card = (...lines: readonly string[]) => ['BEGIN:VCARD', ...lines, 'END:VCARD'].join('\r\n');
const all = (text: string) => [...readVCards(text)];
const one = (...lines: readonly string[]) => {
  const [read] = all(card(...lines));
  return read?.ok ? read.person : read;
};

describe('vCards', () => {
  it('are told from tables', () => {
    expect(isVCards(`\uFEFFBEGIN:VCARD\r\nVERSION:3.0`)).toBe(true);
    expect(isVCards('name,phone\nBEGIN,1')).toBe(false);
  });

  it('of version 3 give name, birthday, numbers, addresses and notes', () => {
    expect(
      one(
        ...[
          'VERSION:3.0',
          'N:Ahorn;Zoë;Maria;;',
          'FN:Zoë Ahorn',
          'BDAY:1968-04-18',
          'TEL;TYPE=WORK:1',
          'TEL;TYPE=CELL:2',
        ],
        ...['item1.EMAIL;type=INTERNET:zoe@ahorn.example', 'ADR;TYPE=HOME:;Flat 2;Quay 3;Brel;;2610;Norr\\, land'],
        ...['NOTE:likes\\nquiet', 'LANG:de-AT', 'PHOTO;ENCODING=b;TYPE=PNG:iVBORw0KGgo='],
      ),
    ).toEqual({
      ...nobodyRead,
      ...{ name: 'Zoë Ahorn', bornOn: '1968-04-18', phone: '2', email: 'zoe@ahorn.example', language: 'de' },
      ...{ address: 'Quay 3, Flat 2, 2610 Brel, Norr, land', note: 'likes\nquiet' },
    });
  });

  it('of version 4 give the number that is preferred, without its scheme, and no birthday that lacks its year', () => {
    expect(one('VERSION:4.0', 'FN:Ida', 'BDAY:--0418', 'TEL:1', 'TEL;VALUE=uri;PREF=1:tel:+1-555')).toMatchObject({
      ...{ name: 'Ida', bornOn: null, phone: '+1-555' },
    });
  });

  it('of version 2.1 give their letters back', () => {
    expect(
      one(
        ...['VERSION:2.1', 'N;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Ahorn;Zo=C3=AB', 'TEL;CELL;PREF:0151'],
        ...['NOTE;ENCODING=QUOTED-PRINTABLE;CHARSET=ISO-8859-1:b=E4d knee=', ' since 2019=0D=0Aquiet', 'BDAY:19680418'],
      ),
    ).toMatchObject({ name: 'Zoë Ahorn', phone: '0151', bornOn: '1968-04-18', note: 'bäd knee since 2019\nquiet' });
  });

  it('that are broken are told by their line, and the others come all the same', () => {
    const text = [
      card('VERSION:3.0', 'FN:Ida'),
      card('VERSION:3.0', 'FN broken'),
      'BEGIN:VCARD',
      card('VERSION:3.0', 'FN:Una'),
    ].join('\n');
    expect(all(text)).toMatchObject([
      { ok: true, line: 1, person: { name: 'Ida' } },
      { ok: false, line: 5, message: 'The card cannot be read at “FN broken”.' },
      { ok: false, line: 9, message: 'The card has no end (END:VCARD).' },
      { ok: true, line: 10, person: { name: 'Una' } },
    ]);
    expect(all('BEGIN:VCARD\nFN:Ida')).toMatchObject([{ ok: false, line: 1 }]);
    expect(all('')).toEqual([]);
  });

  it('never end the reading, whatever stands in them', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'binary' }), { maxLength: 6 }), (lines) => {
        const read = all(`${card(...lines)}\n${card('VERSION:4.0', 'FN:Ida')}`);
        return read.some((result) => result.ok && result.person.name === 'Ida');
      }),
    );
  });
});
