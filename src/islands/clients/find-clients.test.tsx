import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { FoundClient } from '../../contracts/client-views';
import { FindClients } from './FindClients';
import { PerhapsKnown } from './PerhapsKnown';

const zoe: FoundClient = {
  ...{ id: 7, name: 'Zoë Ahorn', isArchived: false, age: 58, phone: '0151 220 41', email: '' },
  lastVisit: '12 Nov 2026',
};
const page = (props: Partial<Parameters<typeof FindClients>[0]>) =>
  renderToStaticMarkup(<FindClients initial={[zoe]} {...props} />);

describe('the clients of the house', () => {
  it('stand in a table that leads to each of them, with a dash for what is not known', () => {
    const shown = page({ initial: [zoe, { ...zoe, id: 8, name: 'Ida Moor', age: null, phone: '', lastVisit: null }] });
    expect(shown).toContain('<a href="/clients/7">Zoë Ahorn</a>');
    expect(shown).toContain('2 clients');
    expect(shown).toContain('<td>–</td>');
    expect(shown).toContain('none yet');
  });

  it('are counted as one where it is one, and marked where they are archived', () => {
    expect(page({})).toContain('1 client<');
    expect(page({})).not.toContain('archived');
    expect(page({ initial: [{ ...zoe, isArchived: true }] })).toContain('archived');
  });

  it('name what was looked for and not found', () => {
    const shown = page({ initial: [], text: 'Quilp' });
    expect(shown).toContain('Quilp');
    expect(shown).not.toContain('<table');
  });

  it('have figures brought in by those who may measure', () => {
    expect(page({ mayImport: true })).toContain('href="/measures"');
    expect(page({})).not.toContain('href="/measures"');
  });
});

describe('who is perhaps on record already', () => {
  const shown = (doubles: Parameters<typeof PerhapsKnown>[0]['doubles']) =>
    renderToStaticMarkup(<PerhapsKnown doubles={doubles} onTake={() => undefined} />);

  it('is named with the reason, and taken by one press', () => {
    const text = shown([
      { id: 7, name: 'Zoë Ahorn', bornOn: '1968-04-18', why: 'same name and birthday' },
      { id: 8, name: 'Zoe Ahorn', bornOn: null, why: 'same name' },
    ]);
    expect(text).toContain('Zoë Ahorn, born 18 April 1968: same name and birthday');
    expect(text).toContain('Zoe Ahorn: same name<');
    expect(text).toContain('It is Zoë Ahorn</button>');
  });

  it('is nobody most of the time: a place that speaks up when somebody is found', () => {
    expect(shown([])).toMatch(/^<div role="status"[^>]*><\/div>$/);
  });
});
