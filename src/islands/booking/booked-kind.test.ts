import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import type { TreatmentOffers } from '../../contracts/treatment-views';
import { expandArea } from '../../core/anatomy/areas';
import { purposes } from '../../core/drainage/case';
import { type Kind, kindOf } from './booked-kind';
import { areas, reasons } from './booked-work';

const protocol = (id: string, change: object = {}) => ({
  ...{ id, modality: 'hot-stone', minutes: 45, isPlanned: false, hasHeat: true },
  ...change,
});
const offers = {
  protocols: [
    protocol('stones-back'),
    protocol('face-calm', { modality: 'face-massage', minutes: 30, hasHeat: false }),
    protocol('drain-legs', { modality: 'lymph-drainage', minutes: 50, hasHeat: false, isPlanned: true }),
  ],
  ready: [
    {
      ...{ id: 'evening', minutes: 75 },
      holds: { isShort: false, fill: true, bothSides: false, choices: [{ id: 'c1', protocol: 'stones-back' }] },
    },
    {
      ...{ id: 'both', minutes: 90 },
      holds: {
        ...{ isShort: false, fill: false, bothSides: true },
        choices: [
          { id: 'c1', protocol: 'drain-legs' },
          { id: 'c2', protocol: 'stones-back' },
        ],
      },
    },
  ],
} as unknown as TreatmentOffers;

describe('what a visit is booked for', () => {
  it('is drainage by itself, also before the house’s own work is here', () => {
    const plain = { holds: undefined, minutes: undefined, isDrained: true, hasHeat: false };
    expect(kindOf(undefined, 'protocol:stones-back')).toMatchObject(plain);
    expect(kindOf(offers, 'drainage')).toMatchObject({ ...plain, modalities: ['lymph-drainage'] });
  });

  it('is one protocol, as long as that lasts, and says nothing of where to drain', () => {
    expect(kindOf(offers, 'protocol:stones-back')).toMatchObject({
      ...{ minutes: 45, isDrained: false, hasHeat: true, modalities: ['hot-stone'] },
      holds: { choices: [{ protocol: 'stones-back' }], fill: false, isShort: false, bothSides: false },
    });
  });

  it('is something ready-made with its own minutes and everything that it holds', () => {
    expect(kindOf(offers, 'ready:evening')).toMatchObject({ minutes: 75, hasHeat: true, holds: { fill: true } });
    expect(kindOf(offers, 'ready:both')).toMatchObject({
      ...{ minutes: 90, isDrained: true, hasHeat: true },
      modalities: ['hot-stone', 'lymph-drainage'],
    });
  });

  it('asks where to drain exactly where one of its protocols is planned by the body', () => {
    expect(kindOf(offers, 'protocol:drain-legs').isDrained).toBe(true);
    expect(kindOf(offers, 'protocol:face-calm').isDrained).toBe(false);
  });

  it('is left to the house to refuse where it does not have it any more', () => {
    fc.assert(
      fc.property(fc.string(), (id) => {
        fc.pre(!['stones-back', 'face-calm', 'drain-legs'].includes(id));
        const kind = kindOf(offers, `protocol:${id}` as Kind);
        expect(kind.holds?.choices).toEqual([{ id: 'c1', protocol: id }]);
        expect(kind).toMatchObject({ minutes: undefined, modalities: [], hasHeat: false });
      }),
    );
  });
});

describe('where a drainage is booked for', () => {
  it('is always some of the body', () => {
    for (const { value } of areas)
      for (const area of value.split(' ')) expect(expandArea(anatomy, area), area).toBeDefined();
  });

  it('is offered once each, and in words of its own', () => {
    expect(new Set(areas.map(({ value }) => value)).size).toBe(areas.length);
    expect(new Set(areas.map(({ text }) => text)).size).toBe(areas.length);
  });

  it('has a right for every left', () => {
    const values = new Set(areas.map(({ value }) => value));
    for (const value of values)
      if (!value.includes(' ') && value.endsWith('.left')) expect(values).toContain(value.replace('.left', '.right'));
  });

  it('is booked because of something that the plan knows', () => {
    for (const { value } of reasons) expect(purposes).toContain(value);
  });
});
