import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { ObservationInput } from '../../contracts/measures';
import { usualMeasuring } from '../../core/swelling/settings';
import { actor, book, now, openHouse, taping, type TestHouse } from '../../server/shared/test-house';
import { readMeasure } from '../../server/measures/read-measure';
import { readProgressHead } from '../../server/measures/read-progress';
import { saveMeasuring } from '../../server/measures/save-measuring';
import { saveObservation } from '../../server/measures/save-observation';
import { saveTaping } from '../../server/measures/save-taping';
import { FiguresTable } from '../progress/FiguresTable';
import { ProgressView } from '../progress/ProgressView';
import { readDevice } from './button-tape';
import { doubtsOf } from './doubts';
import { baselineChange, caveatsOf, verdictsOf } from './judge-run';
import { MeasureView } from './MeasureView';
import { observedWords, temperatureWords } from './observed-words';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const positions = [0, 4, 8, 12, 16];
const legs = { phase: 'before', limb: 'leg', side: 'left', unit: 'cm', positions, basedOn: 0 } as const;
const tape = (visit: number, affected: number[], change: object = {}) =>
  saveTaping(
    house.db,
    visit,
    taping({ ...legs, positions, affected, reference: [22, 24, 27, 30, 33], ...change }),
    actor,
  );
const viewOf = async (visit = house.visit) => {
  const view = await readMeasure(house.db, visit);
  if (!view) throw new Error('no visit');
  return view;
};
const html = async (sheet: 'tape' | 'skin' = 'tape') =>
  renderToStaticMarkup(<MeasureView view={await viewOf()} phase="before" sheet={sheet} />);

describe('the measure view', () => {
  it('says what to do before anything was typed, with last time’s numbers beside it', async () => {
    await tape(await book(house, -7), [24, 26, 29, 33, 36]);
    const page = await html();
    expect(page).toContain('Type the first girths');
    expect(page).toContain('36.0');
    expect(page).toContain('right side first');
  });

  it('names the definition in use, and tells where the change stands', async () => {
    await tape(await book(house, -7), [24, 26, 29, 33, 36]);
    await tape(house.visit, [23, 25, 28, 32, 35]);
    const page = await html();
    expect(page).toContain('By volume ≥ 10 %');
    expect(page).toContain('Within measuring error.');
    expect(page).toContain('only beyond 300 mL counts');
    await saveMeasuring(
      house.db,
      { ...usualMeasuring, definition: 'girth-2-cm', detectable: { 'leg-volume': 10 } },
      actor,
    );
    const strict = await html();
    expect(strict).toContain('By any girth ≥ 2 cm');
    expect(strict).toContain('Beyond what the tape can err.');
  });

  it('holds back the band while a number is doubtful, and asks for it', async () => {
    await tape(house.visit, [23, 25, 2.8, 32, 35]);
    const page = await html();
    expect(page).toContain('Provisional.');
    expect(page).toContain('taped again, it is right');
    expect(page).not.toContain('band, as observed');
  });

  it('shows a flag with what was found and how soon', async () => {
    const input = ObservationInput.parse({
      kind: 'scores',
      value: { tightness: null, heaviness: null, pain: 8, movement: null },
    });
    await saveObservation(house.db, house.visit, input, actor);
    const page = await html();
    expect(page).toContain('Doctor or urgent care today.');
    expect(page).toContain('Pain of 7 or more');
  });
});

describe('doubts of a run', () => {
  const run = {
    positionsCm: positions,
    unit: 'cm' as const,
    volume: undefined,
    last: null,
    eight: { kind: 'ankle' as const, cm: { affected: 20, reference: 52 } },
    settled: {
      affected: [23, 25, 28, 32, 35],
      reference: [22, 24, 27, 30, 33],
      unresolved: { affected: [2], reference: [] },
    },
  };
  it('are readings that differ, and figures-of-eight no foot has', () => {
    expect(doubtsOf(run).map(({ key }) => key)).toEqual(['readings-differ-affected@8', 'eight-affected']);
  });
  it('are numbers far from last time, or sides that look swapped', async () => {
    const earlier = await book(house, -7);
    await tape(earlier, [28, 30, 33, 37, 40]);
    const { lastTapings } = await viewOf();
    const last = lastTapings[0] ?? null;
    expect(doubtsOf({ ...run, last }).filter(({ key }) => key.startsWith('changed-'))).toHaveLength(5);
    const swapped = { ...run.settled, affected: [22, 24, 27, 30, 33], reference: [28, 30, 33, 37, 40] };
    expect(doubtsOf({ ...run, settled: swapped, last }).find(({ mend }) => mend === 'swap')?.key).toBe(
      'swapped-since-last',
    );
  });
});

describe('judging a run', () => {
  it('compares with the starting point by the other limb, else by weight', async () => {
    await tape(await book(house, -70), [24, 26, 29, 33, 36], { context: { weightKg: 70 } });
    const view = await viewOf();
    const now = { ...legs, affected: [23, 25, 28, 32, 35], reference: [22, 24, 27, 30, 33] };
    const change = baselineChange(view.baselines[0], now, 70);
    expect(change.rvc?.changePercent).toBeLessThan(0);
    expect(change.wac?.changePercent).toBeCloseTo(change.rvc?.changePercent ?? 0, 6);
    expect(baselineChange(view.baselines[0], { ...now, side: 'right' }, 70)).toEqual({ rvc: null, wac: null });
    const verdicts = verdictsOf(view, now, { excessPercent: 12, excessMl: 90 }, change);
    expect(verdicts[0]).toMatchObject({ definition: { id: 'excess-volume-10-percent' }, isMet: true });
    expect(verdicts.find(({ definition }) => definition.id === 'excess-volume-200-ml')?.isMet).toBeNull();
  });

  it('warns of another hour, another therapist and broken rules', async () => {
    await tape(await book(house, -7, 2), [24, 26, 29, 33, 36]);
    const view = await viewOf();
    const [last] = view.lastTapings;
    if (!last) throw new Error('no last taping');
    const at = new Date(new Date(last.takenAt).getTime() + 14 * 3_600_000);
    expect(caveatsOf({ ...last, therapistId: 2 }, { takenAt: at, view, ticks: ['heat'] })).toEqual([
      'different time of day',
      'different therapist',
      'not as the rules of taping ask',
    ]);
    expect(caveatsOf(last, { takenAt: new Date(last.takenAt), view, ticks: [] })).toEqual([]);
  });
});

describe('the tape with a button', () => {
  it('is believed only when it sends a girth', () => {
    expect(readDevice('34,5')).toEqual({ kind: 'girth', cm: 34.5 });
    for (const sent of ['', 'NaN', 'cold', '-3', '0', '9999']) expect(readDevice(sent).kind, sent).toBe('fault');
  });
});

describe('words for what was found', () => {
  const one = { key: 1, phase: 'before', place: 'shin-lower.left', takenAt: '', visitId: 1, by: 1 } as const;
  it('tell grade and size, and the rule of warmth', () => {
    expect(observedWords({ ...one, kind: 'pitting', value: { depthMm: 3, reboundSeconds: 12 } })).toBe(
      'pits 3 mm, back in 12 s: mild',
    );
    expect(observedWords({ ...one, kind: 'limb-skin', value: { marks: ['weeping'], hasSmell: true } })).toBe(
      'weeping clear fluid, smells',
    );
    expect(temperatureWords(0.4)).toContain('as warm');
    expect(temperatureWords(-1.2)).toBe('cooler than the other side (−1.2 °C)');
    expect(temperatureWords(2)).toBe('clearly warmer than the other side (+2.0 °C)');
  });
});

describe('the progress view', () => {
  const progress = async () => {
    const view = await readProgressHead(house.db, house.client, now);
    if (!view) throw new Error('no client');
    return view;
  };
  it('says honestly that there is nothing, or one visit only', async () => {
    expect(renderToStaticMarkup(<ProgressView head={await progress()} />)).toContain('Nothing has been measured');
    await tape(house.visit, [23, 25, 28, 32, 35]);
    const one = renderToStaticMarkup(<ProgressView head={await progress()} />);
    expect(one).toContain('One visit so far.');
    expect(one).toContain('A chart begins with the second visit.');
  });

  it('shows every figure, and what is not part of the series', async () => {
    await tape(await book(house, -14), [24, 26, 29], { positions: [0, 5, 10], reference: [22, 24, 26] });
    await tape(await book(house, -7), [24, 26, 29, 33, 36]);
    await tape(house.visit, [23, 25, 28, 32, 35]);
    const view = await progress();
    const [course] = view.courses;
    if (!course) throw new Error('no course');
    const table = renderToStaticMarkup(<FiguresTable course={course} visits={view.visits} />);
    expect(table).toContain('taped by other points');
    expect(table.match(/<tr>/g)).toHaveLength(3);
    expect(renderToStaticMarkup(<ProgressView head={view} />)).toContain('too few to tell a trend');
  });
});
