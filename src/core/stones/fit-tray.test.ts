import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { fitTray } from './fit-tray';
import type { RotationCase } from './rotation';
import type { StoneStep } from './step-times';

const step = (id: string, startS: number, change: Partial<StoneStep> = {}): StoneStep => ({
  ...{ id, startS, durationS: 240, class: 'palm', count: 2, mode: 'moving', flip: true, towelLayers: 0 },
  ...{ usefulC: 42, firstContactC: 52 },
  ...change,
});
const stock = (size: 'palm' | 'large' | 'edge', count: number) =>
  ({ class: size, size, material: 'basalt', count }) as const;
const tray = (steps: readonly StoneStep[], ...stones: RotationCase['stock']): RotationCase => ({
  ...{ bathC: 53, toleranceC: 1, ambientC: 24, spares: 'hands', stock: stones, steps },
});

describe('a tray that is short of stones', () => {
  const steps = [step('back', 0), step('leg', 300)];

  it('keeps to what the techniques ask for where there is enough of it', () => {
    const input = tray(steps, stock('palm', 12), stock('large', 12));
    expect(fitTray(book, input).input).toBe(input);
  });

  it('gives one chain stones of a near size, as few chains as do', () => {
    const { input, rotation } = fitTray(book, tray(steps, stock('palm', 5), stock('large', 6)));
    expect(rotation.feasible).toBe(true);
    expect(input.steps.map(({ class: name }) => name).toSorted()).toEqual(['large', 'palm']);
  });

  it('leaves the plan as it is, and short, where nothing helps', () => {
    const input = tray(steps, stock('palm', 2), stock('large', 2));
    const fitted = fitTray(book, input);
    expect(fitted.input).toBe(input);
    expect(fitted.rotation.shortages).not.toEqual([]);
  });

  it('lets what goes on behind a moved chain begin with fresh stones', () => {
    const chain = [step('a', 0), step('b', 240, { durationS: 30, carry: true }), step('c', 300)];
    const { input, rotation } = fitTray(book, tray(chain, stock('palm', 5), stock('large', 8)));
    expect(rotation.feasible).toBe(true);
    input.steps.forEach((one, i) => {
      if (one.carry) expect(input.steps[i - 1]?.class).toBe(one.class);
    });
  });
});
