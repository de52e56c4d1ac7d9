import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { type FaceLine, kindOfLine, lengthOf, middleX, type Point, sideOfLine } from './line';
import { drainOf, strokesOf } from './strokes';
import { toolFor } from '../treatment/tool';

const nodes: Readonly<Record<string, Point>> = {
  'preauricular.left': [426, 289],
  'preauricular.right': [174, 289],
  'submandibular.left': [370, 460],
  'submandibular.right': [230, 460],
  'terminus.left': [361, 603],
  'terminus.right': [239, 603],
  'temple.left': [416, 211],
  'temple.right': [184, 211],
  'forehead.left': [346, 154],
  'forehead.right': [254, 154],
};
const pointAt = (id: string) => nodes[id];
const line = (kind: FaceLine['kind'], points: readonly Point[]): FaceLine => ({
  id: 'l1',
  kind,
  side: sideOfLine('face-front', 'left', points),
  drawing: 'face-front',
  profile: 'left',
  points,
});
const forehead = line('forehead', [
  [230, 180],
  [300, 172],
  [370, 180],
]);
const crow = line('crow', [
  [396, 270],
  [430, 262],
]);

describe('which line it is', () => {
  it.each([
    [
      'forehead',
      [
        [240, 180],
        [360, 180],
      ],
      ['forehead', 'forehead'],
    ],
    [
      'frown',
      [
        [292, 240],
        [290, 212],
      ],
      ['forehead', 'forehead'],
    ],
    [
      'crow',
      [
        [396, 270],
        [430, 262],
      ],
      ['eyelid-lower', 'temple', 'temple'],
    ],
    [
      'smile',
      [
        [330, 330],
        [352, 392],
      ],
      ['cheek', 'cheek', 'lip-upper'],
    ],
    [
      'mouth-corner',
      [
        [350, 410],
        [356, 440],
      ],
      ['lip-lower', 'chin', 'chin'],
    ],
    [
      'neck',
      [
        [240, 540],
        [360, 540],
      ],
      ['neck-front', 'neck-front'],
    ],
  ] as const)('is a %s line by where it lies and how it runs', (kind, points, regions) => {
    expect(kindOfLine(anatomy.groups, 'face-front', points, regions)).toBe(kind);
  });

  it('is none on an ear or beside the face', () => {
    expect(
      kindOfLine(
        anatomy.groups,
        'face-front',
        [
          [450, 290],
          [452, 310],
        ],
        ['ear'],
      ),
    ).toBeUndefined();
    expect(
      kindOfLine(
        anatomy.groups,
        'face-front',
        [
          [10, 10],
          [20, 20],
        ],
        [],
      ),
    ).toBeUndefined();
  });

  it('has the side on which it lies, or both where it runs over the middle', () => {
    expect([forehead.side, crow.side]).toEqual(['mid', 'left']);
    expect(sideOfLine('face-side', 'right', crow.points)).toBe('right');
  });
});

describe('how a line is worked', () => {
  it('crosses a level line upward and an upright one away from the middle', () => {
    const [from, to] = strokesOf(forehead, pointAt).across[1] ?? [];
    expect((to?.[1] ?? 0) < (from?.[1] ?? 0)).toBe(true);
    const frown = line('frown', [
      [312, 240],
      [312, 205],
    ]);
    const [start, end] = strokesOf(frown, pointAt).across[0] ?? [];
    expect([(end?.[0] ?? 0) > (start?.[0] ?? 0), Math.abs((end?.[1] ?? 0) - (start?.[1] ?? 0)) < 1e-9]).toEqual([
      true,
      true,
    ]);
  });

  it('smooths a line over the middle to both sides, each to its own drain', () => {
    const { smoothing } = strokesOf(forehead, pointAt);
    expect(smoothing.map(({ drain }) => drain)).toEqual(['preauricular.right', 'preauricular.left']);
    for (const { drain, points } of smoothing) expect(points.at(-1)).toEqual(nodes[drain]);
  });

  it('leads what is between the brows up and round the eye', () => {
    const frown = line('frown', [
      [311, 214],
      [311, 180],
    ]);
    const [stroke] = strokesOf(frown, pointAt).smoothing;
    expect([stroke?.points[0], ...(stroke?.points.slice(-3) ?? [])]).toEqual([
      [311, 214],
      nodes['forehead.left'],
      nodes['temple.left'],
      nodes['preauricular.left'],
    ]);
  });

  it('begins smoothing at the end that is far from the drain', () => {
    const [stroke] = strokesOf(crow, pointAt).smoothing;
    expect([stroke?.points[0], stroke?.points.at(-1)]).toEqual([crow.points[0], nodes['preauricular.left']]);
  });

  const drawn = fc
    .array(fc.tuple(fc.integer({ min: 150, max: 450 }), fc.integer({ min: 120, max: 600 })), {
      minLength: 2,
      maxLength: 8,
    })
    .filter((points) => lengthOf(points) > 20);
  it('stays square to the line, centred on it, and never more than nine strokes', () => {
    const straight = fc
      .tuple(
        fc.integer({ min: 150, max: 450 }),
        fc.integer({ min: 150, max: 550 }),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 20, max: 140 }),
      )
      .map(([x, y, degrees, length]): readonly Point[] => {
        const angle = (degrees * Math.PI) / 180;
        return [
          [x, y],
          [x + length * Math.cos(angle), y + length * Math.sin(angle)],
        ];
      });
    fc.assert(
      fc.property(straight, (points) => {
        const [a = [0, 0], b = [0, 0]] = points;
        const way: Point = [b[0] - a[0], b[1] - a[1]];
        for (const [from, to] of strokesOf(line('smile', points), pointAt).across) {
          const square = (to[0] - from[0]) * way[0] + (to[1] - from[1]) * way[1];
          const middle: Point = [(from[0] + to[0]) / 2 - a[0], (from[1] + to[1]) / 2 - a[1]];
          expect(Math.abs(square)).toBeLessThan(1e-6);
          expect(Math.abs(middle[0] * way[1] - middle[1] * way[0])).toBeLessThan(1e-6);
        }
      }),
    );
    fc.assert(
      fc.property(drawn, (points) => {
        const { across } = strokesOf(line('smile', points), pointAt);
        expect(across.length).toBeGreaterThanOrEqual(1);
        expect(across.length).toBeLessThanOrEqual(9);
      }),
    );
  });

  it('is the mirror image on the other side', () => {
    const mirror = ([x, y]: Point): Point => [2 * middleX - x, y];
    fc.assert(
      fc.property(drawn, fc.constantFrom(...(Object.keys(drainOf) as FaceLine['kind'][])), (points, kind) => {
        fc.pre(sideOfLine('face-front', 'left', points) === 'left' && points.every(([x]) => x > middleX));
        const here = strokesOf(line(kind, points), pointAt);
        const there = strokesOf(line(kind, points.map(mirror)), pointAt);
        const far = (points: readonly Point[] = []) => points.map(([x, y]) => [x.toFixed(6), y.toFixed(6)]);
        expect(far(there.smoothing[0]?.points.map(mirror))).toEqual(far(here.smoothing[0]?.points));
        expect(there.across.length).toBe(here.across.length);
      }),
    );
  });
});

describe('the tool for a zone', () => {
  it.each([
    ['roll', ['cheek', 'jaw'], 'large roller', false],
    ['roll', ['eyelid-lower', 'eyelid-upper'], 'small roller', false],
    ['roll', ['sole'], 'knobbed roller', false],
    ['scrape', ['jaw', 'under-chin'], 'long curved edge', true],
    ['scrape', ['nose'], 'small rounded edge', true],
  ] as const)('%s on %j takes the %s', (family, regions, tool, needsSlip) => {
    expect(toolFor(anatomy.groups, { family }, regions)).toMatchObject({ tool, needsSlip });
  });

  it('takes none for work by hand', () => {
    expect(toolFor(anatomy.groups, { family: 'facial' }, ['cheek'])).toBeUndefined();
  });
});
