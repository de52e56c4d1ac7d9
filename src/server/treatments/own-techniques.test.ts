import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { saveTechnique } from '../library/save-library';
import { actor, admit, openHouse, type TestHouse } from '../shared/test-house';
import { readyForTable } from '../table/record-table';
import { bookFor, mayAll, planFor } from './treatment-fixtures';

describe('a technique that a house has changed to stroke on the spine', () => {
  let house: TestHouse;
  let visit: number;
  beforeEach(async () => {
    house = await openHouse();
    await mayAll(house);
    const shipped = [...shippedLibrary.techniques.values()].find(
      ({ id, traits, direction }) =>
        direction !== 'none' &&
        !traits.includes('neat-drops') &&
        !traits.includes('press-hold') &&
        shippedLibrary.protocols
          .get('aroma-whole-body')
          ?.blocks.some(({ steps }) => steps.some((one) => one.technique === id)),
    );
    if (!shipped) throw new Error('no stroke in the protocol');
    const onSpine = { ...shipped, traits: [...shipped.traits, 'on-spine' as const] };
    expect(await saveTechnique(house.db, onSpine, 0, actor)).toMatchObject({ kind: 'saved' });
    visit = await bookFor(house, 1);
    await admit(house.db, visit);
  });
  afterEach(() => house.db.destroy());

  it('is told in the plan, and does not come to the table without a reason', async () => {
    const { treatment } = await planFor(house, visit, ['aroma-whole-body']);
    expect(treatment.stepFaults.map(({ rule }) => rule)).toContain('spine-beside-not-on');
    expect(await readyForTable(house.db, visit)).toMatchObject([
      { path: 'reason', message: expect.stringContaining('run it beside') as string },
    ]);
  });

  it('comes to it when somebody wrote down why', async () => {
    await planFor(house, visit, ['aroma-whole-body'], { reason: 'Asked for by the physician, in writing.' });
    expect(await readyForTable(house.db, visit)).toEqual([]);
  });
});
