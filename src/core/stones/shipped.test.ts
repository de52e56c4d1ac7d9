import { describe, expect, it } from 'vitest';
import { judged } from '../../../tests/judged-client';
import { anatomy } from '../../catalogue/anatomy';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { stoneStepsOf } from '../table/stone-steps';
import { planTreatment } from '../treatment/plan-treatment';
import { tellStep } from '../treatment/tell';
import { usualHabits } from './habits';
import { rotate } from './rotation';

const classes = ['placement', 'large', 'palm', 'small', 'edge'] as const;

/** Stones of a protocol for a well client, with a tray that lacks nothing. */
function stonesOf(id: string) {
  const plan = planTreatment(anatomy.groups, judged([id]), { minutes: 90, isShort: false, fill: false });
  const steps = plan.blocks.flatMap((block) =>
    block.steps.map((step, i) =>
      tellStep(anatomy.groups, block, step, i === 0 && block.changes.length > 0 ? ['turn'] : [], (name) => name),
    ),
  );
  const technique = new Map(steps.map((step) => [step.id, step.told?.technique]));
  return [false, true].map((isCold) => {
    const asked = stoneStepsOf(
      steps,
      isCold,
      usualHabits,
      () => (isCold ? 9 : 52),
      ({ size }) => size,
    );
    const material = isCold ? 'marble' : 'basalt';
    const stock = classes.map((size) => ({ class: size, size, material, count: 20 }) as const);
    const bathC = isCold ? 8 : 53;
    const found = rotate(book, { bathC, toleranceC: 1, ambientC: 24, stock, steps: asked, spares: 'hands' });
    const taken = found.timing.map(({ step, runs }) => ({ technique: technique.get(step), runs }));
    return { found, asked, taken };
  });
}
const changesOf = (parts: ReturnType<typeof stonesOf>) =>
  parts.flatMap(({ taken }) => taken).reduce((sum, { runs }) => sum + runs, 0) - 1;

describe('stones of the protocols that ship', () => {
  it.each([
    // Changes of hands, all but those between kinds of stones because they have cooled; and what they were when stones
    // went by the place of the body.
    ['stones-leg-back', 21, 21],
    ['stones-back', 7, 7],
    ['stones-neck', 10, 10],
    ['stones-face-cool', 20, 22],
  ])('%s: hands change stones at most %d times', (id, most, before) => {
    const changes = changesOf(stonesOf(id));
    expect(changes).toBeLessThanOrEqual(most);
    expect(changes).toBeLessThanOrEqual(before);
  });

  it('two palm stones carry the leg from the first stroke to the strip, one edge stone seat, calf and foot', () => {
    const [hot] = stonesOf('stones-leg-back');
    const left = hot?.asked.slice(0, 11) ?? [];
    expect(left.map(({ class: name, count, carry }) => `${name} ${count}${carry ? '' : ' fresh'}`)).toEqual([
      'palm 2 fresh',
      ...Array.from({ length: 4 }, () => 'palm 2'),
      'edge 1 fresh',
      ...Array.from({ length: 4 }, () => 'edge 1'),
      'palm 2 fresh',
    ]);
  });

  it('can all be done', () => {
    for (const id of ['stones-leg-back', 'stones-back', 'stones-neck', 'stones-face-cool'])
      for (const { found } of stonesOf(id)) expect([id, found.feasible, found.blocked]).toEqual([id, true, []]);
  });
});
