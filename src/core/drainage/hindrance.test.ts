import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import type { Finding } from './finding';
import { findHindrances, isNeverPassed, isNeckExcluded, isPassable, isUnscarred } from './hindrance';

const hinder = (...findings: readonly Finding[]) => findHindrances(anatomy, findings);

describe('what findings do to the map', () => {
  it('closes the group of the side where nodes were removed, and no other', () => {
    const h = hinder({ id: 'nodes-removed-axillary', side: 'left' });
    expect([...h.blocked]).toEqual([['axillary.left', 'removed']]);
    expect(isPassable(h, 'axillary.right')).toBe(true);
  });

  it('closes both groins after pelvic surgery', () => {
    expect([...hinder({ id: 'nodes-removed-pelvic', side: 'both' }).blocked.keys()]).toEqual([
      'inguinal.left',
      'inguinal.right',
    ]);
  });

  it('closes three neck groups and makes that terminus dearer', () => {
    const h = hinder({ id: 'nodes-removed-neck', side: 'right' });
    expect([...h.blocked.keys()]).toEqual(['cervical.right', 'submandibular.right', 'submental.right']);
    expect(h.surcharge.get('terminus.right')).toBe(2);
  });

  it('leaves a group open, two dearer, when only a few nodes were taken', () => {
    const h = hinder({ id: 'nodes-sentinel-inguinal', side: 'both' });
    expect(h.blocked.size).toBe(0);
    expect([h.surcharge.get('inguinal.left'), h.surcharge.get('inguinal.right')]).toEqual([2, 2]);
  });

  it('adds one for irradiated skin and one for a port, each once however often it is named', () => {
    const h = hinder(
      { id: 'irradiated', regions: ['chest-upper.left', 'chest-upper.left'] },
      { id: 'port', regions: ['chest-upper.left'] },
      { id: 'port', regions: ['chest-upper.left'] },
    );
    expect(h.surcharge.get('chest-upper.left')).toBe(2);
    expect([h.irradiated.has('chest-upper.left'), h.ports.has('chest-upper.left')]).toEqual([true, true]);
  });

  it('closes an irradiated group and keeps the first cause when two apply', () => {
    const h = hinder(
      { id: 'nodes-removed-axillary', side: 'left' },
      { id: 'irradiated', regions: ['axillary.left', 'axillary.right'] },
    );
    expect(h.blocked.get('axillary.left')).toBe('removed');
    expect(h.blocked.get('axillary.right')).toBe('irradiated');
  });

  it('does not let a wound be entered, nor a scar be crossed either way', () => {
    const h = hinder(
      { id: 'open-wound', regions: ['shin-lower.left'] },
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
    );
    expect(isPassable(h, 'shin-lower.left')).toBe(false);
    expect(isUnscarred(h, { from: 'pubic.left', to: 'pubic.right' })).toBe(false);
    expect(isUnscarred(h, { from: 'pubic.right', to: 'pubic.left' })).toBe(false);
    expect(isUnscarred(h, { from: 'pubic.left', to: 'abdomen-lower.left' })).toBe(true);
  });

  it('never leads over the kneecap, and into the crease only while that groin is open', () => {
    const closed = hinder({ id: 'nodes-removed-inguinal', side: 'left' });
    expect([isNeverPassed(hinder(), 'knee-front.left'), isNeverPassed(hinder(), 'popliteal.left')]).toEqual([
      true,
      false,
    ]);
    expect([
      isNeverPassed(closed, 'popliteal.left'),
      isNeverPassed(closed, 'knee-crease.left'),
      isNeverPassed(closed, 'popliteal.right'),
    ]).toEqual([true, true, false]);
  });

  it('leaves a neck alone when the skin over it may not be touched', () => {
    const h = hinder({ id: 'open-wound', regions: ['neck-front.left', 'neck-side.left'] });
    expect([isNeckExcluded(h, 'left'), isNeckExcluded(h, 'right')]).toEqual([true, false]);
    expect(isNeckExcluded(hinder({ id: 'open-wound', regions: ['neck-front.left'] }), 'left')).toBe(false);
  });

  it('remembers cancer and thickened skin', () => {
    const h = hinder({ id: 'cancer-history' }, { id: 'thickened', regions: ['ankle-inner.left'] });
    expect([h.cancerHistory, h.thickened.has('ankle-inner.left')]).toEqual([true, true]);
  });
});
