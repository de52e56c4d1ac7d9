import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { fitTray } from './fit-tray';
import { changesOfHands, oneMore, oneMoreInWords } from './one-more';
import type { RotationCase } from './rotation';
import type { StoneStep } from './step-times';

const step = (id: string, startS: number, change: Partial<StoneStep> = {}): StoneStep => ({
  ...{ id, startS, durationS: 240, class: 'palm', count: 2, mode: 'moving', flip: true, towelLayers: 0 },
  ...{ usefulC: 42, firstContactC: 52 },
  ...change,
});
const tray = (steps: readonly StoneStep[], counts: Readonly<Record<string, number>>): RotationCase => ({
  ...{ bathC: 53, toleranceC: 1, ambientC: 24, spares: 'hands', steps },
  stock: Object.entries(counts).map(([size, count]) => ({
    ...{ class: size, size: size as 'palm' | 'edge', material: 'basalt' as const, count },
  })),
});
const offered = (input: RotationCase) => {
  const { rotation } = fitTray(book, input);
  return { rotation, more: oneMore(book, input, rotation) };
};

describe('one more stone', () => {
  // Six minutes in one go; a stand-in at its end means other stones in the hands.
  const chain = [
    step('long', 0, { durationS: 120, usefulC: 40 }),
    step('on', 120, { durationS: 180, usefulC: 40, carry: true }),
    step('end', 300, { durationS: 60, usefulC: 40, carry: true }),
  ];

  it('is offered where a stand-in breaks what a pair would carry on', () => {
    const { more } = offered(tray(chain, { palm: 2, edge: 6 }));
    expect(more).toEqual([{ class: 'palm', more: 2, saves: 1 }]);
    expect(more.map(oneMoreInWords)).toEqual(['2 more palm stones in the tray would save a change.']);
  });

  it('saves just as many changes as it says, on any tray', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 0, max: 6 }), (palm, edge) => {
        const { rotation, more } = offered(tray(chain, { palm, edge }));
        if (!rotation.feasible) expect(more).toEqual([]);
        for (const one of more) {
          const counts = { palm, edge };
          const richer = { ...counts, [one.class]: counts[one.class as 'palm' | 'edge'] + one.more };
          const then = fitTray(book, tray(chain, richer)).rotation;
          expect(then.feasible).toBe(true);
          expect(changesOfHands(rotation) - changesOfHands(then)).toBe(one.saves);
        }
      }),
    );
  });

  it('is not offered where the tray has plenty', () => {
    expect(offered(tray(chain, { palm: 40, edge: 40 })).more).toEqual([]);
  });
});
