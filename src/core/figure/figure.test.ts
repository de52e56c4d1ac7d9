import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { boxOf, type Figure, mirrored, pointOf } from './figure';
import { endOf, routePath } from './route';
import { bestDrawing, viewsOf } from './views';

/** A hand of two regions and a node group, drawn once, as the left one. */
const hand: Figure = {
  ...{ view: 'hand', label: 'Left hand', viewBox: [0, 0, 100, 80], oneSided: true },
  ...{ base: '', outline: '', outlineWidth: 1, zones: [], shade: [], watersheds: [], accents: [], details: [] },
  regions: [
    { id: 'palm.left', label: 'left palm', d: '', anchor: [20, 40], box: [10, 30, 20, 20] },
    { id: 'wrist.left', label: 'left wrist', d: '', anchor: [20, 10], box: [12, 5, 16, 10] },
  ],
  nodes: [{ id: 'cubital.left', label: 'left elbow crease', x: 60, y: 5, r: 4, far: false }],
  arrows: { 'palm.left>wrist.left': { d: 'M20 40Q5 25 20 10', kind: 'flow' } },
};

describe('the mirror image of a drawing', () => {
  const right = mirrored(hand);

  it('turns ids, names and places over together', () => {
    expect(right.regions.map(({ id, label, anchor, box }) => [id, label, anchor, box])).toEqual([
      ['palm.right', 'right palm', [80, 40], [70, 30, 20, 20]],
      ['wrist.right', 'right wrist', [80, 10], [72, 5, 16, 10]],
    ]);
    expect(right.nodes[0]).toMatchObject({ id: 'cubital.right', x: 40 });
    expect(right.arrows['palm.right>wrist.right']?.d).toBe('M80 40Q95 25 80 10');
  });

  it('turned over twice lies where it was', () => {
    const again = mirrored({ ...right, regions: right.regions.map((one) => ({ ...one, id: 'palm.left' })) });
    expect(again.regions[0]?.anchor).toEqual(hand.regions[0]?.anchor);
    expect(again.regions[0]?.box).toEqual(hand.regions[0]?.box);
  });
});

describe('where something lies', () => {
  it('is the anchor of a region, the middle of a node group, and nowhere for what is not drawn', () => {
    expect(pointOf(hand, 'palm.left')).toEqual([20, 40]);
    expect(pointOf(hand, 'cubital.left')).toEqual([60, 5]);
    expect(pointOf(hand, 'heel.left')).toBeUndefined();
  });

  it('is one box round several places', () => {
    expect(boxOf(hand, ['palm.left', 'wrist.left'])).toEqual([10, 5, 20, 45]);
    expect(boxOf(hand, ['palm.left', 'cubital.left'])).toEqual([10, -15, 70, 65]);
    expect(boxOf(hand, ['heel.left'])).toBeUndefined();
  });
});

describe('a way on the drawing', () => {
  it('keeps the bend of the figure where it has one, and is straight elsewhere', () => {
    expect(routePath(hand, ['palm.left', 'wrist.left'], false)).toBe('M20 40Q5 25 20 10');
    expect(routePath(hand, ['wrist.left', 'cubital.left'], false)).toBe('M20 10L60 5');
  });

  it('leaves out what the drawing does not show', () => {
    expect(routePath(hand, ['wrist.left', 'heel.left'], false)).toBe('');
  });

  it('ends with the direction in which it arrives', () => {
    expect(endOf('M0 0L10 0')).toEqual({ x: 10, y: 0, angle: 0 });
    expect(endOf('M0 0L0 10')?.angle).toBeCloseTo(90, 9);
    expect(endOf('')).toBeUndefined();
  });

  it('goes on round the body to the edge of its region, inner side or outer', () => {
    const front: Figure = { ...hand, view: 'front' };
    expect(routePath(front, ['palm.left', 'forearm-outer.left'], true)).toBe('M20 40L14 28');
    expect(routePath(front, ['palm.left', 'forearm-inner.left'], true)).toBe('M20 40L26 28');
    expect(routePath(front, ['palm.left', 'forearm-inner.left'], false)).toBe('');
  });
});

describe('the drawing to open on', () => {
  it('shows most of the places, on the side where most of them are', () => {
    expect(bestDrawing(anatomy, ['cheek.right', 'chin.right', 'jaw.left'])).toEqual({
      view: 'face-front',
      side: 'right',
    });
    expect(bestDrawing(anatomy, ['back-upper.left', 'buttock.left'])).toEqual({ view: 'back', side: 'left' });
    expect(bestDrawing(anatomy, [])).toEqual({ view: 'front', side: 'left' });
  });

  it('exists for every place of the body', () => {
    for (const place of [...anatomy.territories.keys(), ...anatomy.basins.keys()])
      expect(viewsOf(anatomy, place).length, place).toBeGreaterThan(0);
  });
});
