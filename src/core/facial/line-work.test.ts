import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { sideOf } from '../anatomy/place';
import type { FaceLine } from './line';
import { lineBlocks } from './line-work';

let count = 0;
const line = (kind: FaceLine['kind'], side: FaceLine['side'], depth?: number): FaceLine => ({
  ...{ id: `l${(count += 1)}`, kind, side, drawing: 'face-front', profile: 'left' },
  points: [
    [300, 180],
    [340, 180],
  ],
  ...(depth === undefined ? {} : { depth }),
});
const steps = (lines: readonly FaceLine[]) =>
  lineBlocks(anatomy, shippedLibrary, 'c1', lines).flatMap((block) => block.steps);

describe('work on the client’s own lines', () => {
  it('is on the side of each line only', () => {
    const left = steps([line('crow', 'left')]);
    expect(left.length).toBeGreaterThan(0);
    for (const { places, side } of left) {
      expect(side).toBe('left');
      expect(places.map(sideOf)).not.toContain('right');
    }
    const both = steps([line('crow', 'left'), line('crow', 'right')]);
    expect(both.map(({ side }) => side)).toEqual(['left', 'left', 'right', 'right']);
    for (const { lines } of both) expect(lines).toHaveLength(1);
  });

  it('cuts lines of the forehead up and down, and frown lines sideways, with how deep they are', () => {
    const [forehead] = steps([line('forehead', 'mid', 3), line('forehead', 'mid', 1)]);
    expect(forehead?.technique.id).toBe('forehead-line-cross');
    expect(forehead?.note).toBe('2 lines, depth 1 and 3, cut up and down');
    const [frown] = steps([line('frown', 'left')]);
    expect(frown?.note).toBe('one line, crossed sideways');
  });

  it('is nothing where there are no lines', () => {
    expect(steps([])).toEqual([]);
  });
});
