import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { ObservationInput } from '../../contracts/measures';
import { saveObservation } from '../../server/measures/save-observation';
import { answerPictures } from '../../server/pictures/answer-pictures';
import { actor, larger, openHouse, tapeLegs, type TestHouse } from '../../server/shared/test-house';
import { bookFor, follow, mayAll, planFor } from '../../server/treatments/treatment-fixtures';
import { readClose } from '../../server/visits/read-close';
import { Ahead } from './Ahead';
import { CloseView } from './CloseView';

/** The two minutes at the end of a visit, as they first come to a browser. */

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const viewOf = async (visit = house.visit) => {
  const view = await readClose(house.db, visit);
  if (!view) throw new Error('no visit');
  return view;
};
const page = async (visit = house.visit) => renderToStaticMarkup(<CloseView view={await viewOf(visit)} />);
const observe = async (phase: 'before' | 'after', kind: string, value: object) => {
  const saved = await saveObservation(
    house.db,
    house.visit,
    ObservationInput.parse({ phase, kind, value, place: null, replaces: null }),
    actor,
  );
  if (saved.kind !== 'saved') throw new Error(saved.kind);
};
const neck = (turnLeft: number, chin: string) => ({
  ...{ flexion: 48, extension: 52, turnLeft, turnRight: 70, bendLeft: 30, bendRight: 38 },
  ...{ chin, bones: null, following: null },
});

describe('what was measured again', () => {
  it('is asked for where the tape belongs to the visit, and nothing is said of it elsewhere', async () => {
    expect(await page()).toContain('Nothing was taped before the work');
    await house.db.updateTable('visit').set({ purpose: 'wellness' }).execute();
    expect(await page()).not.toContain('Nothing was taped');
  });

  it('says how much less it is, and whether that is more than the tape can err', async () => {
    await tapeLegs(house.db, house.visit);
    expect(await page()).toContain('Tape the same points');
    await tapeLegs(house.db, house.visit, { phase: 'after', affected: larger(-1) });
    expect(await page()).toMatch(/−\d+ mL/);
    expect(await page()).toContain('Beyond measuring error');
  });

  it('has the neck before and after, the chin too, as words and as a fan', async () => {
    await observe('before', 'neck-range', neck(45, 'left'));
    await observe('after', 'neck-range', neck(60, 'mid'));
    const html = await page();
    expect(html).toContain('45° → 60°');
    expect(html).toContain('off to the left → in the middle');
    expect(html).toContain('better, beyond measuring error');
    expect(html).toContain('Neck turns: left 45° before, 60° after');
  });

  it('tells of a mouth that opens wider only what a ruler can tell', async () => {
    await observe('before', 'mouth', { openingMm: 34 });
    await observe('after', 'mouth', { openingMm: 38 });
    expect(await page()).toContain('within measuring error');
    await observe('after', 'mouth', { openingMm: 41 });
    expect(await page()).toContain('34 mm → 41 mm');
  });
});

describe('what was done', () => {
  it('is told against the plan, with what was left out', async () => {
    await mayAll(house);
    const visit = await bookFor(house, -1);
    const { steps } = await planFor(house, visit, ['lifting-facial']);
    expect(await page(visit)).toContain('Nothing was done at the table');
    await follow(house, visit, steps, 1);
    expect(await page(visit)).toContain(`${steps.length} of ${steps.length} steps in`);
  });
});

describe('pictures at the end', () => {
  it('are not spoken of where none were taken, whatever was agreed', async () => {
    await answerPictures(house.db, house.client, { answer: 'letters', isErasing: false }, actor);
    expect(await page()).not.toContain('Pictures, before and after');
  });
});

describe('the course ahead in short', () => {
  const ahead = {
    ...{ limb: 'left leg', words: 'A visit takes about 9 % of the excess (6 to 10).', plateau: null },
    rows: [{ every: '2 weeks', visits: 6, comesTo: '414 mL (314 mL to 504 mL)' }],
  };

  it('never stands without its range, and leads to all of it', () => {
    const html = renderToStaticMarkup(<Ahead ahead={ahead} clientId={3} />);
    expect(html).toContain('414 mL (314 mL to 504 mL)');
    expect(html).toContain('never a promise');
    expect(html).toContain('href="/clients/3/progress"');
  });

  it('says that visits no longer change it, and no intervals where nothing can be said', () => {
    const html = renderToStaticMarkup(
      <Ahead ahead={{ ...ahead, rows: [], plateau: 'Visits as now no longer change it.' }} clientId={3} />,
    );
    expect(html).toContain('role="note"');
    expect(html).not.toContain('<ul');
  });
});
