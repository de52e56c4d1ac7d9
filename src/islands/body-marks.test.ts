import { describe, expect, it } from 'vitest';
import type { PlacedFinding } from '../contracts/people-views';
import { marksOf } from './body-marks';

const finding = (change: object): PlacedFinding =>
  ({
    ...{ key: 1, label: 'Finding', regions: null, drainage: null },
    ...change,
  }) as unknown as PlacedFinding;

describe('findings on the body map', () => {
  it('close the node groups that were taken out', () => {
    const { nodes } = marksOf([finding({ drainage: { id: 'nodes-removed-axillary', side: 'left' } })]);
    expect([...nodes]).toEqual([['axillary.left', 'closed']]);
  });

  it('mark open skin as kept off, over everything else that is there', () => {
    const regions = ['shin-upper.left'];
    const { regions: marks, signs } = marksOf([
      finding({ key: 1, drainage: { id: 'irradiated', regions } }),
      finding({ key: 2, drainage: { id: 'open-wound', regions } }),
    ]);
    expect(marks.get('shin-upper.left')).toMatchObject({ tone: 'closed' });
    expect(signs.map(({ kind }) => kind)).toEqual(['irradiated', 'wound']);
  });

  it('draw a scar between the two neighbours that it runs between', () => {
    const { signs, regions } = marksOf([
      finding({ drainage: { id: 'scar', crosses: [['abdomen-lower.left', 'abdomen-upper.left']] } }),
    ]);
    expect(signs).toMatchObject([{ kind: 'scar', place: 'abdomen-lower.left', other: 'abdomen-upper.left' }]);
    expect(regions.size).toBe(0);
  });

  it('tint what has a place and is no business of drainage, with its name', () => {
    const { regions } = marksOf([finding({ label: 'Varicose Veins', regions: ['calf-upper.left', 'inguinal.left'] })]);
    expect([...regions]).toEqual([['calf-upper.left', { tone: 'tender', words: 'varicose veins' }]]);
  });
});
