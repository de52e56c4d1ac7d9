import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { findHindrances } from './hindrance';
import { distanceToTerminus, nextGroup } from './outlets';
import { rollerRoutes } from './roller';
import { routesTo } from './routes';

const none = findHindrances(anatomy, []);
const everyKind = new Set(['flow', 'detour', 'crossing'] as const);
const flow = new Set(['flow'] as const);

describe('the cheapest ways to a group', () => {
  it('follow natural flow to the home group', () => {
    const routes = routesTo(anatomy, none, { target: 'inguinal.left', kinds: flow, prefer: 'direct' });
    expect(routes.get('knee-crease.left')?.path).toEqual(['knee-crease.left', 'popliteal.left', 'inguinal.left']);
    expect(routes.get('toes.left')?.cost).toBe(8);
    expect(routes.has('toes.right')).toBe(false);
  });

  it('go round the outer side of the knee when both sides cost the same', () => {
    const routes = routesTo(anatomy, none, { target: 'inguinal.left', kinds: flow, prefer: 'direct' });
    expect(routes.get('shin-upper.left')?.path).toContain('knee-outer.left');
  });

  it('stay in front when that costs the same, and leave it when the back is shorter', () => {
    const toArmpit = (hindrances = none) =>
      routesTo(anatomy, hindrances, { target: 'axillary.left', kinds: everyKind, prefer: 'front' });
    expect(toArmpit().get('thigh-upper-back.left')?.path[1]).toBe('thigh-upper-outer.left');
    const wounded = findHindrances(anatomy, [{ id: 'open-wound', regions: ['thigh-upper-outer.left'] }]);
    expect(toArmpit(wounded).get('thigh-upper-back.left')?.path[1]).toBe('buttock.left');
  });

  it('are empty to a closed group', () => {
    const closed = findHindrances(anatomy, [{ id: 'nodes-removed-axillary', side: 'left' }]);
    expect(routesTo(anatomy, closed, { target: 'axillary.left', kinds: everyKind, prefer: 'front' }).size).toBe(0);
  });

  it('refuse a target that is not on the body', () => {
    expect(() => routesTo(anatomy, none, { target: 'tail.left', kinds: flow, prefer: 'direct' })).toThrow('tail.left');
  });

  it('cost what their parts cost, end where they should and never pass what is avoided', () => {
    const costOf = new Map(anatomy.edges.map((e) => [`${e.from}>${e.to}`, e.cost]));
    const avoidable = fc.uniqueArray(fc.constantFrom(...anatomy.territories.keys()), { maxLength: 8 });
    fc.assert(
      fc.property(fc.constantFrom('axillary.left', 'inguinal.right', 'terminus.left'), avoidable, (target, avoided) => {
        const routes = routesTo(anatomy, none, {
          target,
          kinds: everyKind,
          prefer: 'front',
          avoid: (id) => avoided.includes(id),
        });
        for (const [start, route] of routes) {
          expect([route.path[0], route.path.at(-1)]).toEqual([start, target]);
          const sum = route.path
            .slice(1)
            .reduce((total, id, i) => total + (costOf.get(`${route.path[i]}>${id}`) ?? NaN), 0);
          expect(sum).toBe(route.cost);
          expect(route.path.slice(1, -1).some((id) => avoided.includes(id))).toBe(false);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('are never dearer than one step and the way from there', () => {
    const routes = routesTo(anatomy, none, { target: 'axillary.right', kinds: everyKind, prefer: 'front' });
    for (const edge of anatomy.edges) {
      const [from, to] = [routes.get(edge.from), routes.get(edge.to)];
      if (from && to && !to.path.slice(0, -1).some((id) => id.startsWith('knee-front')))
        expect(from.cost).toBeLessThanOrEqual(edge.cost + to.cost);
    }
  });
});

describe('outlets', () => {
  it('lie as far from the veins as natural flow makes them', () => {
    expect(
      ['terminus.left', 'axillary.right', 'cervical.left', 'inguinal.left', 'popliteal.left'].map((id) =>
        distanceToTerminus(anatomy, id),
      ),
    ).toEqual([0, 1, 1, 4, 7]);
    expect(() => distanceToTerminus(anatomy, 'cheek.left')).toThrow('cheek.left');
  });

  it('empty into the next group that hands can reach', () => {
    expect(nextGroup(anatomy, 'preauricular.left')).toBe('cervical.left');
    expect(nextGroup(anatomy, 'submental.right')).toBe('submandibular.right');
    expect(nextGroup(anatomy, 'inguinal.left')).toBeUndefined();
    expect(nextGroup(anatomy, 'terminus.left')).toBeUndefined();
  });
});

describe('the ways of the roller', () => {
  const routes = rollerRoutes(anatomy, none);

  it('lead the lower face down the front of the neck, past no group but the terminus', () => {
    for (const name of ['chin', 'jaw', 'lip-lower', 'under-chin']) {
      const path = routes.get(`${name}.right`)?.path ?? [];
      expect(path).toContain('neck-front.right');
      expect(
        path.slice(0, -1).some((id) => anatomy.basins.has(id)),
        name,
      ).toBe(false);
    }
  });

  it('lead the upper face to the ear', () => {
    for (const name of ['forehead', 'cheek', 'nose', 'eyelid-lower', 'lip-upper'])
      expect(routes.get(`${name}.left`)?.path, name).toContain('preauricular.left');
  });

  it('say nothing of the body', () => {
    expect(routes.has('calf-upper.left')).toBe(false);
  });
});
