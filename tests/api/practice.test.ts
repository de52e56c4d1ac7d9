import { beforeAll, describe, expect, it } from 'vitest';
import { KnownView, NextDrill, PracticeMarked, TeamView } from '../../src/contracts/practice';
import { drillKinds } from '../../src/core/training/kinds';
import { skills } from '../../src/core/training/skills';
import { houseDay } from '../clock/test-day';
import { admit, bookAnyTime, call, type Person, people, post } from './client';

const as = (person: Person) => ({
  get: (path: string) => call('GET', path, undefined, undefined, person),
  post: (path: string, body: unknown) => call('POST', path, body, undefined, person),
  del: (path: string) => call('DELETE', path, undefined, undefined, person),
});
const [owner, therapist, desk] = [as('owner'), as('therapist'), as('assistant')];
const fieldsOf = ({ body }: { readonly body: { readonly errors?: readonly { readonly path: string }[] } }) =>
  (body.errors ?? []).map(({ path }) => path);

const drill = { kind: 'heat', level: 2, seed: 77 } as const;
const bestOf = async (wish: object) => (await post('/api/compute/drill-answer', { ...wish, answer: null })).body.best;
const answerAs = async (person: Person, change: object = {}) =>
  as(person).post('/api/practice/answers', { ...drill, seconds: 20, answer: await bestOf(drill), ...change });
const knownTo = async (person: Person) => (await as(person).get('/api/practice/known')).body as KnownView;
const skillOf = ({ skills: all }: KnownView, id: string) => all.find((one) => one.id === id);

describe('what is practised', () => {
  beforeAll(async () => {
    await desk.del('/api/practice/results');
  });

  it('begins with nothing known and nothing due', async () => {
    const known = await knownTo('assistant');
    expect(KnownView.safeParse(known).error).toBeUndefined();
    expect(known.skills).toHaveLength(skills.length);
    expect(known.skills.every(({ sure }) => sure === null)).toBe(true);
    expect(known).toMatchObject({ dueToday: 0, session: null, sessions: [] });
  });

  it('gives the case that is most worth it: the first that is taught, at the first level', async () => {
    const { body } = await desk.get('/api/practice/next');
    expect(NextDrill.safeParse(body).error).toBeUndefined();
    expect(body).toMatchObject({ kind: 'order', level: 1, course: null, set: null, why: 'Outlet first' });
  });

  it('keeps an answer, fills its skills and begins a session', async () => {
    const marked = await answerAs('assistant');
    expect(marked.status).toBe(200);
    expect(PracticeMarked.safeParse(marked.body).error).toBeUndefined();
    expect(marked.body).toMatchObject({ score: 1, faults: [], comesBack: [] });
    expect(marked.body.session).toMatchObject({ seconds: 20, answers: 1, mean: 1, isOver: false });
    const known = await knownTo('assistant');
    expect(skillOf(known, 'first-touch')?.sure).toBeGreaterThan(0.2);
    expect(skillOf(known, 'outlet-first')?.sure).toBeNull();
    expect(known.session).toMatchObject({ answers: 1 });
  });

  it('brings back what was given up, and says what that is', async () => {
    const { body } = await answerAs('assistant', { answer: null });
    expect(body.score).toBe(0);
    expect(body.comesBack).toEqual(['Warm at the first touch', 'How long it may lie']);
    expect(body.session).toMatchObject({ answers: 2, mean: 0.5 });
  });

  it('gives a case of a kind where one is asked for, and never the same words twice running', async () => {
    for (const kind of drillKinds) {
      const { body } = await desk.get(`/api/practice/next?kind=${kind}&level=2`);
      expect(body).toMatchObject({ kind, level: 2 });
      expect(body.seed).not.toBe(drill.seed);
    }
  });

  it('counts three minutes at most for a case that was left lying, and ends a session after ten', async () => {
    const seconds = async (took: number) => (await answerAs('assistant', { seconds: took })).body.session;
    expect(await seconds(1800)).toMatchObject({ seconds: 220, isOver: false });
    await seconds(180);
    const over = await seconds(200);
    expect(over).toMatchObject({ seconds: 580, isOver: false });
    expect(await seconds(30)).toMatchObject({ seconds: 610, isOver: true });
    expect((await knownTo('assistant')).session).toBeNull();
    expect(await seconds(10)).toMatchObject({ seconds: 10, answers: 1 });
    expect((await knownTo('assistant')).sessions).toHaveLength(2);
  });

  it('refuses what is no answer, and names the field; nothing of it is kept', async () => {
    const before = (await knownTo('assistant')).session;
    expect(fieldsOf(await answerAs('assistant', { answer: { firstC: 'hot', seconds: 3 } }))).toEqual(['answer.firstC']);
    expect(fieldsOf(await answerAs('assistant', { seed: 1.5 }))).toEqual(['seed']);
    expect(fieldsOf(await answerAs('assistant', { level: 7 }))).toEqual(['level']);
    expect(fieldsOf(await answerAs('assistant', { kind: 'juggling' }))).toEqual(['kind']);
    expect(fieldsOf(await answerAs('assistant', { seconds: -1 }))).toEqual(['seconds']);
    expect(fieldsOf(await answerAs('assistant', { set: 999 }))).toEqual(['set']);
    expect((await answerAs('assistant', { course: 999 })).status).toBe(404);
    expect((await knownTo('assistant')).session).toEqual(before);
  });

  it('is one’s own: a table and a page of it, and nobody else’s', async () => {
    const csv = await desk.get('/api/practice/results.csv');
    expect(csv.type).toContain('text/csv');
    const [head, ...rows] = String(csv.body).trim().split('\r\n');
    expect(head).toContain('day,drill,level,case,score,seconds,not_shown');
    expect(rows).toHaveLength(7);
    expect(rows[1]).toContain('Warm at the first touch; How long it may lie');
    const pdf = await desk.get('/api/practice/results.pdf');
    expect(pdf.type).toContain('application/pdf');
    expect(String(pdf.body).startsWith('%PDF-')).toBe(true);
    expect(String((await therapist.get('/api/practice/results.csv')).body)).not.toBe(csv.body);
  });

  it('is erased for good by whoever practised it', async () => {
    expect((await desk.del('/api/practice/results')).status).toBe(200);
    expect(await knownTo('assistant')).toMatchObject({ session: null, sessions: [], dueToday: 0 });
    expect(
      String((await desk.get('/api/practice/results.csv')).body)
        .trim()
        .split('\r\n'),
    ).toHaveLength(1);
  });

  it('is asked of nobody who is not signed in', async () => {
    expect((await call('GET', '/api/practice/known', undefined, undefined, 'nobody')).status).toBe(401);
  });
});

describe('a drill that a trainer sets', () => {
  const set = { kind: 'drops', level: 1, seed: 12, dueOn: '2099-01-01', modality: 'aromatherapy' } as const;
  let id = 0;

  it('is set by the owner only', async () => {
    expect((await therapist.post('/api/practice/sets', set)).status).toBe(403);
    expect((await therapist.get('/api/practice/people')).status).toBe(403);
    const saved = await owner.post('/api/practice/sets', set);
    expect(saved.body.kind).toBe('saved');
    id = saved.body.id;
  });

  it('refuses a day that is over and work that there is not', async () => {
    expect(fieldsOf(await owner.post('/api/practice/sets', { ...set, dueOn: '2020-01-01' }))).toEqual(['dueOn']);
    expect(fieldsOf(await owner.post('/api/practice/sets', { ...set, modality: 'juggling' }))).toEqual(['modality']);
    expect(fieldsOf(await owner.post('/api/practice/sets', { ...set, dueOn: 'soon' }))).toEqual(['dueOn']);
    expect((await owner.post('/api/practice/sets', { ...set, dueOn: houseDay(process.env), seed: 13 })).status).toBe(
      200,
    );
  });

  it('stands before everybody, and is mentioned for its work until it is done well', async () => {
    const mine = (await knownTo('therapist')).sets.find((one) => one.id === id);
    expect(mine).toMatchObject({ kind: 'drops', seed: 12, best: null });
    const mentions = async () => (await desk.get(`/api/practice/mentions/${people.therapist}`)).body;
    expect((await mentions()).map(({ modality }: { modality: string }) => modality)).toContain('aromatherapy');
    const texts: readonly { readonly text: string }[] = await mentions();
    expect(texts.every(({ text }) => text.endsWith('Nothing is forbidden by it.'))).toBe(true);
    const before = texts.length;
    const wish = { kind: 'drops', level: 1, seed: 12 };
    await answerAs('therapist', { ...wish, set: id, answer: await bestOf(wish) });
    expect((await mentions()).length).toBe(before - 1);
    expect((await knownTo('therapist')).sets.find((one) => one.id === id)?.best).toBe(1);
  });

  it('shows a trainer who is sure in what, in no order of rank', async () => {
    const { body } = await owner.get('/api/practice/people');
    expect(TeamView.safeParse(body).error).toBeUndefined();
    const team = body as TeamView;
    expect(team.people.map((one) => one.id)).toEqual([...team.people.map((one) => one.id)].sort((a, b) => a - b));
    const bram = team.people.find((one) => one.id === people.therapist);
    expect(bram?.kinds.some(({ kind }) => kind === 'drops')).toBe(true);
    expect(bram?.sets.find((one) => one.id === id)?.best).toBe(1);
    expect(bram?.minutesOfWeek).toBeGreaterThanOrEqual(0);
  });

  it('ends once, and then counts for nobody', async () => {
    expect((await owner.del(`/api/practice/sets/${id}`)).status).toBe(200);
    expect((await owner.del(`/api/practice/sets/${id}`)).status).toBe(404);
    expect((await knownTo('therapist')).sets.some((one) => one.id === id)).toBe(false);
    expect(fieldsOf(await answerAs('therapist', { set: id }))).toEqual(['set']);
  });
});

describe('the course of a plan', () => {
  let visitId = 0;
  let course = 0;
  beforeAll(async () => {
    const client = (await post('/api/clients', { name: 'Namenlos Ungenannt', bornOn: '1961-04-05' })).body.id;
    await post(`/api/clients/${client}/findings`, { id: 'nodes-removed-axillary', side: 'left', sinceOn: '2021-06' });
    visitId = await bookAnyTime({ clientId: client, therapistId: 1, focus: ['arm.left'] });
    await admit(visitId);
  }, 60_000);

  it('is not there before there is a plan', async () => {
    expect((await owner.post('/api/practice/courses', { visitId: 999_999 })).status).toBe(404);
    expect((await desk.post('/api/practice/courses', { visitId })).status).toBe(403);
  });

  it('is taken without its client: no name, no age, no date', async () => {
    await post(`/api/visits/${visitId}/first-plan`, undefined);
    const saved = await owner.post('/api/practice/courses', { visitId });
    expect(saved.body).toMatchObject({ kind: 'saved' });
    course = saved.body.id;
    const asked = await owner.get(`/api/practice/courses/${course}`);
    expect(asked.status).toBe(200);
    expect(asked.body.question.words).toContain('left arm');
    expect(JSON.stringify(asked.body)).not.toMatch(/Namenlos|Ungenannt|1961|2021/);
  });

  it('is practised as order and as way, and by nobody else', async () => {
    for (const kind of ['order', 'route'] as const) {
      const asked = await owner.get(`/api/practice/courses/${course}?kind=${kind}`);
      expect(asked.body.key).toBe(`${kind}-course-${course}`);
      const given = { kind, level: 2, seed: course, course, seconds: 30, answer: null };
      const shown = await owner.post('/api/practice/answers', given);
      expect(shown.status).toBe(200);
      const right = await owner.post('/api/practice/answers', { ...given, answer: shown.body.best });
      expect(right.body).toMatchObject({ score: 1, faults: [] });
    }
    expect((await therapist.get(`/api/practice/courses/${course}`)).status).toBe(404);
    expect(fieldsOf(await answerAs('owner', { course }))).toEqual(['kind']);
    expect(fieldsOf(await owner.get(`/api/practice/courses/${course}?kind=heat`))).toEqual(['kind']);
  });
});
