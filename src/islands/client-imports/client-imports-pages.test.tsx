import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { ClientImportView, ImportDouble } from '../../contracts/client-imports';
import { CheckedClients } from './CheckedClients';
import { EarlierImports } from './EarlierImports';
import { ImportClients } from './ImportClients';

const nothing = () => undefined;
const checked: ClientImportView = {
  ...{
    id: 'a',
    state: 'checked',
    share: 1,
    rows: 4,
    fresh: 2,
    doubles: [],
    doubleCount: 0,
    gainCount: 0,
    troubles: [],
    troubleCount: 0,
  },
  sample: [{ name: 'Ida Moor', bornOn: '1980-02-03', phone: '0151', email: '', address: '' }],
  ...{ added: 0, completed: 0, kept: [], keptCount: 0, key: null, message: '' },
};
const marit: ImportDouble = {
  ...{ row: 3, name: 'Marit Olsvang', bornOn: null, why: 'name and e-mail', earlierRow: null, gains: ['phone'] },
  known: { id: 7, name: 'Marit Olsvang', bornOn: '1960-01-01' },
};
const page = (change: Partial<ClientImportView>) =>
  renderToStaticMarkup(
    <CheckedClients
      job={{ ...checked, ...change }}
      onStore={nothing}
      onUndo={nothing}
      onCancel={nothing}
      onBack={nothing}
    />,
  );
const past = {
  key: 4,
  date: '2 Dec 2026',
  by: 'Ines Hollen',
  file: 'people.csv',
  added: 2,
  completed: 1,
  isUndone: false,
};
const earlier = (isUndone: boolean, isBusy = false) =>
  renderToStaticMarkup(
    <EarlierImports past={[{ ...past, isUndone }]} newest={undefined} isBusy={isBusy} onUndo={nothing} />,
  );

describe('clients in and out', () => {
  it('go out as a table and as cards, and come in from a file of either', () => {
    const text = renderToStaticMarkup(<ImportClients past={[]} />);
    for (const words of ['All clients as CSV', 'as vCards', 'Choose a file', '.xlsx', '.vcf'])
      expect(text).toContain(words);
    expect(text).not.toContain('Earlier imports');
  });

  it('show how far the work has come, with a way to stop it', () => {
    expect(page({ state: 'reading', share: 0.31 })).toMatch(/looking who is on record already, 31 %.*Stop/s);
    expect(page({ state: 'storing' })).toContain('Adding');
    expect(page({ state: 'undoing' })).toContain('Taking it back');
  });

  it('say what was read and what the button will do', () => {
    const text = page({});
    expect(text).toContain('4 rows read: 2 new clients');
    expect(text).toContain('Ida Moor');
    expect(text).toContain('Add 2 clients');
    expect(text).not.toContain('in trouble');
  });

  it('name rows in trouble and say that they are left out', () => {
    const text = page({ troubles: [{ row: 5, column: 'born', message: 'No date.' }], troubleCount: 12 });
    expect(text).toMatch(/12 rows in trouble.*No date\..*and 11 more.*12 rows in trouble left out/s);
  });

  it('offer for each double what makes sense, and lead to the record', () => {
    const twin = { ...marit, row: 4, name: 'Twin', known: null, earlierRow: 2, gains: [] };
    const text = page({ doubles: [marit, twin], doubleCount: 3 });
    expect(text).toContain('href="/clients/7"');
    expect(text).toContain('would gain phone');
    expect(text).toContain('row 2 of this file');
    expect(text).toContain('and 1 more, treated as all of them');
    const [, first = '', second = ''] = text.split('<select');
    expect(first).toContain('complete the record');
    expect(second).not.toContain('complete the record');
  });

  it('have no button where nothing would be done', () => {
    const text = page({ fresh: 0, sample: [], doubles: [marit], doubleCount: 1 });
    expect(text).toContain('Everybody in this file is on record already.');
    expect(text).not.toContain('Add 0');
  });

  it('can be taken back at once, and say who stays', () => {
    expect(page({ state: 'done', added: 2, completed: 1, key: 9 })).toMatch(
      /2 clients added, 1 record completed.*Take it back/s,
    );
    expect(page({ state: 'undone', added: 1, kept: ['Ida Moor'], keptCount: 3 })).toMatch(
      /Taken back: 1 client removed.*These stay.*Ida Moor and 2 others/s,
    );
    expect(page({ state: 'cancelled', message: 'Stopped; nobody was added.' })).toContain('Stopped; nobody was added.');
  });

  it('of earlier can be taken back once, and not while something else runs', () => {
    expect(earlier(false)).toContain('aria-label="Take back people.csv of 2 Dec 2026"');
    expect(earlier(true)).toContain('taken back');
    expect(earlier(true)).not.toContain('<button');
    expect(earlier(false, true)).toContain('disabled');
  });
});
