import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Figure } from '../../core/figure/figure';
import { boxOf, pointOf } from '../../core/figure/figure';
import { neighbourOf } from './neighbour';

const front = JSON.parse(readFileSync(new URL('../../catalogue/figure/front.json', import.meta.url), 'utf8')) as Figure;
const places = front.regions.map(({ id, anchor }) => ({ id, at: anchor }));
const from = (id: string) => pointOf(front, id) ?? [0, 0];

describe('moving over the figure by arrow keys', () => {
  it('goes down a leg and up again', () => {
    expect(neighbourOf(places, from('shin-upper.left'), 'ArrowDown')).toBe('shin-lower.left');
    expect(neighbourOf(places, from('shin-lower.left'), 'ArrowUp')).toBe('shin-upper.left');
  });

  it('crosses to the client’s left on the viewer’s right', () => {
    expect(neighbourOf(places, from('pubic.right'), 'ArrowRight')).toBe('pubic.left');
  });

  it('reaches every region from any other', () => {
    const reached = new Set(['pubic.left']);
    for (const id of reached) {
      for (const key of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'] as const) {
        const next = neighbourOf(places, from(id), key);
        if (next) reached.add(next);
      }
    }
    expect(reached.size).toBe(front.regions.length);
  });

  it('ends at the edge', () => {
    expect(neighbourOf(places, from('toes.left'), 'ArrowDown')).toBeUndefined();
  });

  it('boxes some places', () => {
    const box = boxOf(front, ['thigh-upper-outer.left', 'flank-lower.left']);
    expect(box?.[2]).toBeGreaterThan(20);
    expect(boxOf(front, ['sole.left'])).toBeUndefined();
  });
});
