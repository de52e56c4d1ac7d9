import { describe, expect, it } from 'vitest';
import { call, post } from './client';

const question = {
  ...{ focus: ['leg.left'], minutes: 45, fill: true, qualifications: ['lymphoedema-certified'] },
  findings: [{ id: 'nodes-removed-inguinal', side: 'left' }],
};
const planned = async () => (await post('/api/compute/drainage-plan', question)).body.steps;
const flow = async (change: object = {}) =>
  post('/api/compute/flow', { ...question, steps: await planned(), seconds: 3300, every: 60, ...change });

describe('POST /api/compute/flow', () => {
  it('follows a plan as it comes from the planner, and keeps account of every drop', async () => {
    const { status, body } = await flow({ start: { 'toes.left': 50 } });
    expect(status).toBe(200);
    expect(body.startMl).toBe(50);
    expect(body.series).toHaveLength(56);
    expect(body.series[0]).toEqual({ second: 0, drainedMl: 0, insideMl: 50 });
    for (const { drainedMl, insideMl } of body.series) expect(drainedMl + insideMl).toBeCloseTo(50, 6);
    for (const values of Object.values<number[]>(body.places)) expect(values).toHaveLength(56);
    expect(body.peak.length).toBeLessThanOrEqual(10);
  });

  it('takes ten mL for each placement where nothing is said of the start', async () => {
    const { body } = await flow();
    const legs = body.startMl;
    expect(legs % 10).toBe(0);
    expect(legs).toBeGreaterThan(500);
  });

  it('lets out more in the order of the plan than with ways not prepared', async () => {
    const steps: { kind: string }[] = await planned();
    const last = ({ body }: { body: { series: { drainedMl: number }[] } }) => body.series.at(-1)?.drainedMl ?? 0;
    const without = await flow({ steps: steps.filter(({ kind }) => kind !== 'prepare') });
    expect(last(await flow())).toBeGreaterThan(1.3 * last(without));
  });

  it.each([
    ['an unknown place', { start: { 'tail.left': 5 } }, 'start.tail.left'],
    ['a negative amount', { start: { 'toes.left': -5 } }, 'start.toes.left'],
    ['more than a place takes', { start: { 'toes.left': 501 } }, 'start.toes.left'],
    ['fluid in a group', { start: { 'axillary.left': 5 } }, 'start.axillary.left'],
    ['no time at all', { seconds: 0 }, 'seconds'],
    ['more than four hours', { seconds: 14_401 }, 'seconds'],
    ['more entries than can be told', { seconds: 14_400, every: 1 }, 'every'],
    ['half a second between entries', { every: 0.5 }, 'every'],
    [
      'a step at no place',
      { steps: [{ kind: 'drain', place: 'tail', repetitions: 5, placements: 1, seconds: 9 }] },
      'steps.0.place',
    ],
    [
      'a step of no time',
      { steps: [{ kind: 'drain', place: 'toes.left', repetitions: 5, placements: 1, seconds: 0 }] },
      'steps.0.seconds',
    ],
  ])('refuses %s and names the field', async (_, change, path) => {
    const { status, body } = await flow(change);
    expect(status).toBe(400);
    expect(body.errors[0].path).toBe(path);
  });
});

describe('POST /api/compute/course', () => {
  const visits = [
    { day: '2026-03-02', beforeMl: 640, afterMl: 560 },
    { day: '2026-03-09', beforeMl: 610, afterMl: 530 },
    { day: '2026-03-16', beforeMl: 575, afterMl: 500 },
    { day: '2026-03-23', beforeMl: 548, afterMl: 470 },
    { day: '2026-03-30', beforeMl: 520, afterMl: 450 },
  ];
  const course = (change: object = {}) => post('/api/compute/course', { visits, errorMl: 60, ...change });

  it('says what a visit takes, how long it holds, and where intervals lead', async () => {
    const { status, body } = await course({
      intervals: [7, 14],
      goalMl: 400,
      phases: [
        [3, 5],
        [14, null],
      ],
    });
    expect(status).toBe(200);
    expect(body).toMatchObject({ enough: true, response: { visits: 5 }, held: { gaps: 4 }, plateau: false });
    expect(body.forecast.map(({ everyDays }: { everyDays: number }) => everyDays)).toEqual([7, 14]);
    for (const one of body.forecast) expect(one.lowMl).toBeLessThanOrEqual(one.highMl);
    expect(body.phased.visits).toBe(9);
  });

  it('is the same for the same seed', async () => {
    expect((await course({ seed: 7 })).body).toEqual((await course({ seed: 7 })).body);
  });

  it('says that there are not enough visits yet', async () => {
    const { body } = await course({ visits: visits.slice(0, 2) });
    expect(body).toMatchObject({ enough: false, forecast: [], phased: null });
  });

  it.each([
    ['one visit', { visits: visits.slice(0, 1) }, 'visits'],
    ['a volume below nothing', { visits: [visits[0], { ...visits[1], beforeMl: -1 }] }, 'visits.1.beforeMl'],
    ['a day that there is not', { visits: [visits[0], { ...visits[1], day: '2026-02-30' }] }, 'visits.1.day'],
    ['two visits on a day', { visits: [visits[0], visits[0]] }, 'visits.1.day'],
    ['an interval of no days', { intervals: [0] }, 'intervals.0'],
    ['a goal below nothing', { goalMl: -5 }, 'goalMl'],
  ])('refuses %s and names the field', async (_, change, path) => {
    const { status, body } = await course(change);
    expect(status).toBe(400);
    expect(body.errors[0].path).toBe(path);
  });

  it('is asked with POST', async () => {
    expect((await call('GET', '/api/compute/course')).status).toBe(405);
  });
});
