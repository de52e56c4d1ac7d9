import { describe, expect, it } from 'vitest';
import type { BlendInput } from '../../contracts/oil-house';
import type { OilBenchView } from '../../contracts/oil-views';
import { adult } from '../../core/oils/client';
import { changeDraft, clientOf, type Draft, firstDraft } from './blend-draft';

const blend: BlendInput = {
  ...{ name: 'Test', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: [] },
  parts: [
    { oil: 'lavender', drops: 9 },
    { oil: 'vetiver', drops: 3 },
  ],
};
const draft: Draft = { blend, selected: 'lavender', past: [] };
const bench = (change: Partial<OilBenchView> = {}): OilBenchView => ({
  ...{
    currency: 'EUR',
    today: '2026-11-25',
    shelf: [],
    carriers: [],
    blends: [],
    visits: [],
    visit: null,
    client: null,
    usedBefore: [],
  },
  scope: { mayBlend: true, mayLayer: true, why: '' },
  ...change,
});
const visit = {
  id: 1,
  time: '9:00',
  work: 'Aromatherapy',
  chosen: { body: null, face: null },
  onSkin: null,
};

describe('the blend on the bench', () => {
  it('gains and loses drops, and an oil goes with its last one', () => {
    const more = changeDraft(draft, { kind: 'drops', oil: 'ginger', by: 1 });
    expect([more.blend.parts.length, more.selected]).toEqual([3, 'ginger']);
    const gone = changeDraft(draft, { kind: 'drops', oil: 'vetiver', by: -3 });
    expect(gone.blend.parts.map(({ oil }) => oil)).toEqual(['lavender']);
    expect(changeDraft(draft, { kind: 'drops', oil: 'ginger', by: -1 }).blend.parts).toEqual(blend.parts);
  });

  it('is taken back change by change; selecting is no change', () => {
    const changed = changeDraft(changeDraft(draft, { kind: 'remove', oil: 'lavender' }), {
      kind: 'carrier',
      carrier: 'jojoba',
    });
    expect(changed.selected).toBe('vetiver');
    const once = changeDraft(changed, { kind: 'undo' });
    expect([once.blend.carrier, once.blend.parts.length]).toEqual(['grapeseed', 1]);
    expect(changeDraft(once, { kind: 'undo' }).blend).toEqual(blend);
    expect(changeDraft(draft, { kind: 'undo' })).toBe(draft);
    expect(changeDraft(draft, { kind: 'select', oil: 'vetiver' }).past).toEqual([]);
  });

  it('keeps its drops or its strength in another bottle, as is asked', () => {
    const drops = (isScaled: boolean) =>
      changeDraft(draft, { kind: 'volume', volumeMl: 10, isScaled }).blend.parts.map((part) => part.drops);
    expect(drops(false)).toEqual([9, 3]);
    expect(drops(true)).toEqual([3, 1]);
  });

  it('opens with what the visit carries, or with the amount that its plan needs', () => {
    expect(firstDraft(bench()).blend).toMatchObject({ name: 'House blend', volumeMl: 30, parts: [] });
    const needs = { body: null, face: { ml: 1.5, cm2: 600, minutes: 20 } };
    expect(firstDraft(bench({ visit: { ...visit, needs } })).blend).toMatchObject({ area: 'face', volumeMl: 1.5 });
    const chosen = { body: { blend, words: '', mix: null, pouredFrom: null }, face: null };
    expect(firstDraft(bench({ visit: { ...visit, needs, chosen } })).blend).toEqual(blend);
  });

  it('is held to two percent for those without clinical training, or to less where the client needs it', () => {
    const scope = { mayBlend: false, mayLayer: false, why: 'not trained' };
    expect(clientOf({ client: null, scope }).mostPercent).toBe(2);
    expect(clientOf(bench())).toBe(adult);
  });
});
