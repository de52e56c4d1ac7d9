import { describe, expect, it } from 'vitest';
import { expandArea } from '../core/anatomy/areas';
import { mirrorOf } from '../core/anatomy/place';
import { anatomy } from './anatomy';

describe('the anatomy that ships', () => {
  it('has every territory, node group and way between them', () => {
    expect([anatomy.territories.size, anatomy.basins.size, anatomy.edges.length]).toEqual([126, 26, 346]);
  });

  it('is the same on both sides, but for the thoracic duct, which ends on the left', () => {
    const keys = new Set(anatomy.edges.map((e) => `${e.from}>${e.to}:${e.kind}:${e.cost}`));
    const lopsided = anatomy.edges.filter(
      (e) => !keys.has(`${mirrorOf(e.from)}>${mirrorOf(e.to)}:${e.kind}:${e.cost}`),
    );
    expect(lopsided.map((e) => `${e.from}>${e.to}`)).toEqual(['thoracic-duct.mid>terminus.left']);
  });

  it('leads every territory to its home group by natural flow alone', () => {
    for (const territory of anatomy.territories.values()) {
      const seen = new Set([territory.id]);
      for (const place of seen) {
        for (const edge of anatomy.edges) if (edge.from === place && edge.kind === 'flow') seen.add(edge.to);
      }
      expect(seen, territory.id).toContain(territory.home);
    }
  });

  it('opens an area into its territories, a leg with its seat', () => {
    expect(expandArea(anatomy, 'leg.left')).toHaveLength(21);
    expect(expandArea(anatomy, 'leg.left')).toContain('buttock.left');
    expect(expandArea(anatomy, 'face')).not.toContain('scalp-back.left');
    expect(expandArea(anatomy, 'whole-body')).toHaveLength(126);
    expect(expandArea(anatomy, 'knee-outer.right')).toEqual(['knee-outer.right']);
    expect(expandArea(anatomy, 'tail.left')).toBeUndefined();
    expect(expandArea(anatomy, 'leg')).toBeUndefined();
  });
});
