import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { takeTurns } from './course';
import { drainOrder, segmentOf } from './drain-order';
import { makeCase, mustRead, type Wish } from './fixtures';
import { affectedSides, neededGroups, surveyCase } from './survey';

const survey = (focus: readonly string[], wish: Wish = {}, limit?: 'one') => {
  const read = mustRead(anatomy, makeCase(focus, wish));
  return { read, found: surveyCase(anatomy, read, limit) };
};
const groinGone = { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] } as const;

describe('the survey of a case', () => {
  it('lets a whole limb flow one way, through its root', () => {
    const { found } = survey(['leg.left'], groinGone);
    for (const [id, route] of found.routes) {
      if (id === 'buttock.left') continue;
      expect(route.path, id).toContain('thigh-upper-outer.left');
      expect(route.to).toBe('axillary.left');
    }
    expect(found.limbs).toMatchObject([{ limb: 'leg.left', root: 'thigh-upper-outer.left' }]);
  });

  it('takes another root when the usual one may not be touched', () => {
    const { found } = survey(['leg.left'], {
      findings: [...groinGone.findings, { id: 'open-wound', regions: ['thigh-upper-outer.left'] }],
    });
    expect(found.limbs[0]?.root).toBe('thigh-upper-back.left');
    expect(found.closed).toEqual(['thigh-upper-outer.left']);
  });

  it('keeps the nearest exit only, when time is short', () => {
    expect(
      survey(['arm.left'], { findings: [{ id: 'nodes-removed-axillary', side: 'left' }] }, 'one').found.exits.map(
        (e) => e.to,
      ),
    ).toEqual(['terminus.left']);
  });

  it('leads part of a limb round a wound and leaves the rest on its natural way', () => {
    const { found } = survey(['leg.left'], { findings: [{ id: 'open-wound', regions: ['thigh-upper-inner.left'] }] });
    expect(found.rerouted.has('thigh-lower-inner.left')).toBe(true);
    expect(found.rerouted.has('thigh-lower-outer.left')).toBe(false);
    expect(found.routes.get('thigh-lower-inner.left')?.path).not.toContain('thigh-upper-inner.left');
  });

  it('names the natural home of each limb from its root, of the face from what is farthest', () => {
    expect(survey(['leg.right']).found.exits).toMatchObject([
      { to: 'inguinal.right', cost: 1, path: ['thigh-upper-outer.right', 'inguinal.right'], rerouted: false },
    ]);
    expect(survey(['face']).found.exits.map((e) => [e.to, e.cost])).toEqual([
      ['terminus.left', 5],
      ['terminus.right', 5],
    ]);
  });

  it('reroutes skin of the trunk from where it lies', () => {
    const { found } = survey(['abdomen-lower.left'], groinGone);
    expect(found.exits.map((e) => [e.to, e.cost])).toEqual(
      [
        ['inguinal.right', 4],
        ['axillary.left', 4],
      ].sort((a, b) => (a[0] === 'axillary.left' ? -1 : 1) - (b[0] === 'axillary.left' ? -1 : 1)),
    );
  });

  it('does not use an exit across the middle while the other side needs it', () => {
    expect(survey(['leg.left', 'leg.right'], groinGone).found.exits.map((e) => e.to)).toEqual([
      'axillary.left',
      'inguinal.right',
    ]);
    expect(survey(['leg.left', 'leg.right'], groinGone).found.limbs[0]?.exits.map((e) => e.to)).toEqual([
      'axillary.left',
    ]);
  });

  it('strands what no open way leads out of', () => {
    const wall = ['shoulder-top', 'neck-front'].flatMap((name) => [`${name}.left`, `${name}.right`]);
    const { found } = survey(['calf-upper.left'], {
      findings: [
        { id: 'nodes-removed-inguinal', side: 'both' },
        { id: 'nodes-removed-axillary', side: 'both' },
        { id: 'open-wound', regions: wall },
      ],
    });
    expect(found.stranded).toEqual(['calf-upper.left']);
    expect(found.exits).toEqual([]);
  });
});

describe('what a course needs open', () => {
  it('is every group on a way and the sound side’s own', () => {
    const { read, found } = survey(['leg.left']);
    expect([...neededGroups(anatomy, read, found)].sort()).toEqual([
      'inguinal.left',
      'inguinal.right',
      'popliteal.left',
    ]);
    expect([...affectedSides(read, found)]).toEqual(['left']);
  });

  it('leaves a closed sound side alone', () => {
    const { read, found } = survey(['leg.left'], { findings: [{ id: 'irradiated', regions: ['inguinal.right'] }] });
    expect([...neededGroups(anatomy, read, found)].sort()).toEqual(['inguinal.left', 'popliteal.left']);
  });
});

describe('the order of draining', () => {
  it('puts trunk before limbs and arms before legs', () => {
    const { found } = survey(['leg.left', 'arm.right', 'flank-upper.right']);
    const order = drainOrder(anatomy, found);
    expect(order[0]).toBe('flank-upper.right');
    expect(order.indexOf('fingers.right')).toBeLessThan(order.indexOf('thigh-upper-inner.left'));
    expect(segmentOf(anatomy, found, 'buttock.left')).toBe(1);
  });

  it('counts the seat as trunk when its leg is not in focus', () => {
    const { found } = survey(['trunk-lower.left']);
    expect(segmentOf(anatomy, found, 'buttock.left')).toBe(0);
  });

  it('never drains a place before one that its own way runs through', () => {
    const { found } = survey(['whole-body'], groinGone);
    const order = drainOrder(anatomy, found);
    order.forEach((id, i) => {
      for (const ahead of found.routes.get(id)?.path.slice(1) ?? []) {
        if (order.includes(ahead)) expect(order.indexOf(ahead), `${ahead} before ${id}`).toBeLessThan(i);
      }
    });
  });
});

describe('exits in turn', () => {
  const exit = (to: string, cost: number) => ({ to, cost, path: [] });

  it('serves each by its share, the largest remainder first', () => {
    const next = takeTurns([exit('near', 5), exit('far', 7)]);
    const served = Array.from({ length: 12 }, () => next()?.to);
    expect(served.filter((to) => to === 'near')).toHaveLength(7);
    expect(served.slice(0, 2)).toEqual(['near', 'far']);
  });

  it('answers undefined when there is none', () => {
    expect(takeTurns([])()).toBeUndefined();
  });
});
