import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { ImportView } from '../../contracts/imports';
import { Checked } from './Checked';
import { ImportPlan } from '../../contracts/imports';
import { guessColumns } from '../../core/exchange/measure-rows';
import { Columns } from './Columns';
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

describe('what the columns hold', () => {
  const shown = (head: readonly string[], hasClient = true) => {
    const rows = [head, head.map((_, i) => `cell ${i}`)];
    const table = { file: new File([], 'a.csv'), encoding: 'utf-8', delimiter: ',', rows };
    const plan = ImportPlan.parse({ ...guessColumns(head), unit: 'cm', dateOrder: 'year-month-day' });
    return renderToStaticMarkup(<Columns table={table} plan={plan} hasClient={hasClient} onPlan={nothing} />);
  };

  it('is guessed by their heads and shown over the first rows', () => {
    const text = shown(['date', 'limb', 'side', 'point cm', 'first reading cm', 'second reading cm']);
    for (const role of ['Date', 'Arm or leg', 'Left or right', 'First reading', 'Second reading'])
      expect(text, role).toMatch(new RegExp(`<option[^>]*selected[^>]*>${role}</option>`));
    expect(text).toContain('cell 5');
  });

  it('asks which side is swollen only where the table does not say', () => {
    const head = ['date', 'limb', 'side', 'point cm', 'girth cm'];
    expect(shown(head)).toContain('Swollen side');
    expect(shown([...head, 'swollen'])).not.toContain('Swollen side');
  });

  it('asks for names only where the client is not known', () => {
    const head = ['client', 'born', 'date', 'limb', 'side', 'point cm', 'girth cm'];
    expect(shown(head)).not.toContain('Date of birth');
    expect(shown(head, false)).toContain('Date of birth');
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
