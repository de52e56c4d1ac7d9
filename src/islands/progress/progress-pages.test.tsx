import { renderToStaticMarkup } from 'react-dom/server';
import { beforeAll, describe, expect, it } from 'vitest';
import type { LimbCourse, ProgressDetails, ProgressView as View } from '../../contracts/progress-views';
import type { RememberedView } from '../../contracts/remembered-views';
import { ObservationInput } from '../../contracts/measures';
import { readProgress } from '../../server/measures/read-progress';
import { saveObservation } from '../../server/measures/save-observation';
import { actor, book, larger, now, openHouse, tapeLegs } from '../../server/shared/test-house';
import { AtHome } from './AtHome';
import { CompareDates } from './CompareDates';
import { AskedDetails, Details } from './Details';
import { FiguresTable } from './FiguresTable';
import { Phases, phasesOf } from './Phases';
import { ProgressView } from './ProgressView';
import { Remembered } from './Remembered';

const visits = 15;
let view: View;
let course: LimbCourse;

beforeAll(async () => {
  const house = await openHouse();
  for (let k = 0; k < visits; k += 1) {
    const visit = await book(house, -7 * (visits - k));
    await tapeLegs(house.db, visit, { affected: larger(3 - k / 10) });
    await tapeLegs(house.db, visit, { phase: 'after', affected: larger(2.4 - k / 10) });
    for (const phase of ['before', 'after'] as const) {
      const value = { flexion: 40, extension: 50, turnLeft: phase === 'after' ? 66 : 50, turnRight: 70 };
      await saveObservation(
        house.db,
        visit,
        ObservationInput.parse({ kind: 'neck-range', phase, value: { ...value, bendLeft: null, bendRight: null } }),
        actor,
      );
    }
  }
  const read = await readProgress(house.db, house.client, now);
  const [leg] = read?.courses ?? [];
  if (!read || !leg) throw new Error('no course');
  view = read;
  course = leg;
});

const rowsOf = (html: string) => html.match(/<th scope="row">/g)?.length ?? 0;

describe('the figures of a long course', () => {
  const table = (given: LimbCourse) => renderToStaticMarkup(<FiguresTable course={given} visits={view.visits} />);

  it('begin with the newest twelve visits, and offer the rest', () => {
    expect(rowsOf(table(course))).toBe(12);
    expect(table(course)).toContain('Show all 15 visits');
    expect(table(course)).toContain(course.points.at(-1)?.day);
    expect(table(course)).not.toContain(`<th scope="row">${course.points[0]?.day}`);
  });

  it('offer nothing where all is shown', () => {
    const short = { ...course, points: course.points.slice(-12) };
    expect(rowsOf(table(short))).toBe(12);
    expect(table(short)).not.toContain('Show all');
  });

  it('are the same volumes as the stretches of the body', () => {
    const newest = course.points.at(-1);
    const sum = (newest?.stretchMl ?? []).reduce((all: number, ml) => all + (ml ?? 0), 0);
    expect(sum).toBeCloseTo(newest?.excessMl ?? 0, 2);
    expect(course.stretches.map(({ from, to }) => to - from)).toEqual([4, 4, 4, 4]);
  });
});

describe('two dates held against each other', () => {
  const compared = (given: LimbCourse) => renderToStaticMarkup(<CompareDates course={given} />);

  it('say by how much the limb is smaller, and where most', () => {
    expect(compared(course)).toMatch(/Smaller by \d+ mL in all, most between \d+ and \d+ cm/);
    expect(compared(course).match(/data-tone="smaller"/g)?.length).toBeGreaterThanOrEqual(4);
  });

  it('leave out a stretch that one of them was not taped over', () => {
    const [first, ...others] = course.points;
    if (!first) throw new Error('no point');
    const cut = { ...course, points: [{ ...first, stretchMl: [null, ...first.stretchMl.slice(1)] }, ...others] };
    expect(compared(cut)).not.toContain('0–4 cm');
    expect(compared(cut)).toContain('4–8 cm');
  });
});

describe('what stands beneath the courses', () => {
  const at = (outcome: Partial<Parameters<typeof AskedDetails>[0]['asked']>) =>
    renderToStaticMarkup(
      <AskedDetails
        clientId={view.client.id}
        asked={{
          ...{ state: 'waiting', answer: undefined, trouble: '' },
          ...{ stop: () => undefined, again: () => undefined },
          ...outcome,
        }}
      >
        <p>at home</p>
      </AskedDetails>,
    );

  it('is asked for once the page stands, and says so', () => {
    const page = renderToStaticMarkup(<ProgressView head={view} />);
    expect(page).toContain('The visits are being looked through');
    expect(page).not.toContain('neck turns left');
    // What is known already is not held back.
    expect(at({})).toContain('at home');
  });

  it('names what went wrong, offers to ask again, and keeps the rest', () => {
    const page = at({ state: 'failed', trouble: 'The house does not answer.' });
    expect(page).toContain('role="alert"');
    expect(page).toContain('The house does not answer.');
    expect(page).toContain('Ask again');
    expect(page).toContain('at home');
  });

  it('is all that was measured otherwise, once it has come', () => {
    const page = at({ state: 'answered', answer: view });
    expect(page).toContain('neck turns left');
    expect(page).toContain('Neck turns: left 50° before, 66° after');
    expect(page).toContain('Felt, seen and asked before the work');
    expect(page).toContain('Show all 15 visits');
    expect(page).not.toContain('being looked through');
  });

  it('is nothing of nothing', () => {
    const details: ProgressDetails = {
      ...{ seen: { columns: [], rows: [] }, changes: [], remembered: [] },
      pictures: { answer: null, answeredOn: null, photos: [] },
      earned: { visits: 0, leastVisits: 8, looked: 0, rows: [] },
    };
    expect(renderToStaticMarkup(<Details clientId={view.client.id} details={details} />)).toBe('');
  });
});

describe('what hands found', () => {
  const found: RememberedView = {
    ...{ kind: 'tender', place: 'calf-upper.left', what: 'Tender at the left calf', words: '2 of 5 visits' },
    ...{ presence: 0.6, wasLastTime: true },
  };

  it('is told in words, beside the body from the side where it lies', () => {
    const page = renderToStaticMarkup(<Remembered remembered={[found]} />);
    expect(page).toContain('<strong>Tender at the left calf</strong> 2 of 5 visits');
    expect(page.indexOf('data-view="back"')).toBeLessThan(page.indexOf('data-view="front"'));
  });

  it('is nothing where nothing was found', () => expect(renderToStaticMarkup(<Remembered remembered={[]} />)).toBe(''));
});

describe('what was done at home', () => {
  it('is a share, and a row of days in words too', () => {
    const page = renderToStaticMarkup(
      <AtHome
        home={[
          {
            ...{ title: 'Legs up', since: '2026-11-01', isEnded: true, asked: 20, done: 15, percent: 75 },
            days: [
              { day: '2026-10-31', times: null },
              { day: '2026-11-01', times: 0 },
              { day: '2026-11-02', times: 3 },
            ],
          },
        ]}
      />,
    );
    expect(page).toContain('<strong>Legs up</strong>, since 1 Nov, ended: 15 of 20 times (75 %)');
    expect(page).toContain('31 Oct: no sheet yet');
    expect(page).toContain('1 Nov: not done');
    expect(page).toContain('2 Nov: done 3 ×');
  });
});

describe('a course in two phases', () => {
  const phases = { firstDays: 3, firstVisits: 5, thenDays: 14 };
  const page = (given: typeof phases | undefined) =>
    renderToStaticMarkup(<Phases intervals={[3, 7, 14]} phases={given} onPhases={() => undefined} />);

  it('is one choice until it is wanted', () => {
    expect(page(undefined)).toContain('in two phases');
    expect(page(undefined)).not.toContain('<select');
    expect(page(phases).match(/<select/g)).toHaveLength(3);
  });

  it('is counted to the end of its second phase', () =>
    expect(phasesOf(phases)).toEqual([
      [3, 5],
      [14, null],
    ]));
});
