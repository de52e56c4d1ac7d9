import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { ImportView } from '../../contracts/imports';
import { Checked } from './Checked';
import { ImportMeasures } from './ImportMeasures';

const nothing = () => undefined;
const checked: ImportView = {
  ...{ id: 'a', state: 'checked', share: 1, rows: 12, girths: 12, tapings: 2, clients: 1, message: '' },
  ...{ troubles: [], troubleCount: 0 },
  sample: [{ client: 'Zoë Ahorn', date: '2026-03-02', limb: 'left leg', points: 3, excessMl: 612 }],
};
const page = (change: Partial<ImportView>, client: { id: number; name: string } | null = null) =>
  renderToStaticMarkup(
    <Checked job={{ ...checked, ...change }} client={client} onStore={nothing} onCancel={nothing} onBack={nothing} />,
  );

describe('figures in and out', () => {
  it('of a client go out in both units; those of all clients only come in', () => {
    const own = renderToStaticMarkup(<ImportMeasures client={{ id: 7, name: 'Zoë Ahorn' }} />);
    expect(own).toContain('/api/clients/7/measures.csv');
    expect(own).toContain('unit=in');
    const all = renderToStaticMarkup(<ImportMeasures client={null} />);
    expect(all).toContain('of all clients');
    expect(all).not.toContain('measures.csv');
    expect(all).toContain('.xlsx');
  });
});

describe('a table that was read', () => {
  it('is looked at before anything is stored', () => {
    const shown = page({});
    expect(shown).toContain('12 rows');
    expect(shown).toContain('left leg');
    expect(shown).toContain('612 mL');
    expect(shown).toContain('<button');
  });

  it('has its rows in trouble named, the first of many', () => {
    const troubles = [{ row: 4, column: 'girth cm', message: '“thick” is not a girth.' }];
    const shown = page({ troubles, troubleCount: 31 });
    expect(shown).toContain('<td>4</td>');
    expect(shown).toContain('“thick” is not a girth.');
    expect(shown).toContain('30');
  });

  it('cannot be stored where nothing of it is sound', () => {
    const buttons = (shown: string) => shown.split('<button').length - 1;
    expect(buttons(page({ tapings: 0, sample: [] }))).toBe(buttons(page({})) - 1);
  });

  it('says how far it is, and can be stopped', () => {
    for (const state of ['reading', 'storing'] as const) {
      const shown = page({ state, share: 0.4 });
      expect(shown, state).toContain('40');
      expect(shown, state).toContain('<button');
    }
  });

  it('says that it is done and where to look, or that nothing was stored', () => {
    expect(page({ state: 'done' }, { id: 7, name: 'Zoë Ahorn' })).toContain('href="/clients/7/progress"');
    expect(page({ state: 'done' })).not.toContain('href=');
    expect(page({ state: 'cancelled' })).toContain('role="alert"');
    expect(page({ state: 'failed', message: 'The disk is full.' })).toContain('The disk is full.');
  });
});
