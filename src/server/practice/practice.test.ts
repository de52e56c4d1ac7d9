import { addDays, addMinutes } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import { PracticeAnswerInput, type PracticeMarked, SetInput } from '../../contracts/practice';
import { StaffInput } from '../../contracts/sign-in';
import { skillsIn } from '../../core/training/drills';
import { drillKinds, levels } from '../../core/training/kinds';
import { markDrill } from '../../core/training/drills';
import { skillOf } from '../../core/training/skills';
import { listAudit } from '../house/audit.repository';
import { saveStaff } from '../people/save-staff';
import { isoDay } from '../shared/house-clock';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { answerDrill } from './answer-drill';
import { nextDrill } from './next-drill';
import { listAnswers, listSessions, readCards } from './practice.repository';
import { readKnown } from './read-known';
import { eraseResults, readPrinted, resultsCsv } from './results';
import { addSet, readMentions, readTeam, removeSet } from './team';

/** Practising, from the first case to what a trainer sees of it. */

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const [owner, bo] = [1, 2];
const evening = addMinutes(now, 11 * 60);
const heat = { kind: 'heat', level: 1, seed: 5 } as const;

function bestOf(wish: { readonly kind: 'heat' | 'drops'; readonly level: 1 | 2 | 3 | 4; readonly seed: number }) {
  const marked = markDrill(books, wish, null);
  if (!marked.ok) throw new Error('given up is no error');
  return marked.value.best;
}
const input = (change: object = {}) =>
  PracticeAnswerInput.parse({ ...heat, answer: bestOf(heat), seconds: 40, ...change });
async function answer(change: object = {}, at = evening, person = bo): Promise<PracticeMarked> {
  const marked = await answerDrill(house.db, person, input(change), at);
  if ('kind' in marked) throw new Error(JSON.stringify(marked));
  return marked;
}
const refusal = async (change: object) => {
  const said = await answerDrill(house.db, bo, input(change), evening);
  return 'kind' in said && said.kind === 'refused' ? said.errors.map(({ path }) => path) : said;
};

describe('a session', () => {
  it('is taken up on the same evening, and begins anew on the next day', async () => {
    await answer();
    await answer({}, addMinutes(evening, 30));
    const next = await answer({}, addDays(evening, 1));
    expect(next.session).toMatchObject({ answers: 1, seconds: 40 });
    const sessions = await listSessions(house.db, bo);
    expect(sessions.map(({ seconds, endedAt }) => [seconds, endedAt !== null])).toEqual([
      [40, false],
      [80, true],
    ]);
  });

  it('is over after ten minutes, and the next answer begins another one', async () => {
    for (let i = 0; i < 3; i += 1) await answer({ seconds: 180 }, addMinutes(evening, 4 * i));
    expect((await answer({ seconds: 70 }, addMinutes(evening, 20))).session).toMatchObject({
      ...{ seconds: 610, isOver: true, answers: 4 },
    });
    expect((await answer({}, addMinutes(evening, 22))).session).toMatchObject({ seconds: 40, isOver: false });
  });

  it('is one’s own', async () => {
    await answer();
    expect((await answer({}, evening, owner)).session.answers).toBe(1);
    expect(await listAnswers(house.db, owner)).toHaveLength(1);
  });
});

describe('what is known', () => {
  it('is moved by what the case asked for, and by nothing else', async () => {
    await answer();
    const cards = await readCards(house.db, bo);
    expect([...cards.keys()].sort()).toEqual([...skillsIn(books, heat)].sort());
  });

  it('fades with the days, and comes back when it is due', async () => {
    await answer();
    const sureOn = async (days: number) =>
      (await readKnown(house.db, bo, addDays(evening, days))).skills.find(({ id }) => id === 'first-touch');
    const [today, later] = [await sureOn(0), await sureOn(12)];
    expect(later?.sure).toBeLessThan(today?.sure ?? 0);
    expect(today?.isDue).toBe(false);
    expect(later?.isDue).toBe(true);
  });

  it('counts what comes back today', async () => {
    expect((await readKnown(house.db, bo, evening)).dueToday).toBe(0);
    await answer({ answer: null });
    expect((await readKnown(house.db, bo, evening)).dueToday).toBe(2);
  });

  it('keeps nothing of an answer that was refused', async () => {
    expect(await refusal({ answer: { firstC: 44 } })).toEqual(['answer.seconds']);
    expect(await refusal({ answer: { sandwich: 1 } })).toEqual(['answer.firstC', 'answer.seconds']);
    expect(await refusal({ set: 12 })).toEqual(['set']);
    expect(await listAnswers(house.db, bo)).toEqual([]);
    expect(await listSessions(house.db, bo)).toEqual([]);
  });
});

describe('the next case', () => {
  const nextOf = (wanted: Parameters<typeof nextDrill>[2] = {}, at = evening) => nextDrill(house.db, bo, wanted, at);

  it('asks for the skill that it is given for', async () => {
    for (const kind of drillKinds) {
      const next = await nextOf({ kind });
      const asked = skillsIn(books, { kind: next.kind, level: next.level, seed: next.seed });
      expect(asked.map((id) => skillOf(id)?.title)).toContain(next.why);
    }
  });

  it('never waits for what only comes at higher levels', async () => {
    // All that cases of the first level ask for is known; what is left is of later levels.
    for (let seed = 0; seed < 12; seed += 1) {
      const wish = { kind: 'order', level: 1, seed } as const;
      const best = markDrill(books, wish, null);
      if (best.ok) await answer({ ...wish, answer: best.value.best }, addMinutes(evening, seed));
    }
    for (let i = 0; i < 6; i += 1) {
      const next = await nextOf({ kind: 'order', level: 1 }, addMinutes(evening, 13));
      const asked = skillsIn(books, { kind: 'order', level: 1, seed: next.seed });
      expect(asked.map((id) => skillOf(id)?.title)).toContain(next.why);
    }
  });

  it('is what was not known, once it is due', async () => {
    await answer({ answer: null });
    expect(await nextOf({}, addMinutes(evening, 15))).toMatchObject({ kind: 'heat' });
  });

  it('is of the level that was asked for, and else of the one that suits', async () => {
    for (const level of levels) expect((await nextOf({ kind: 'change', level })).level).toBe(level);
    for (let i = 0; i < 3; i += 1) await answer();
    expect((await nextOf({ kind: 'heat' })).level).toBe(2);
    expect((await nextOf({ kind: 'drops' })).level).toBe(1);
  });
});

describe('results', () => {
  it('are a table without names, oldest first', async () => {
    await answer({ answer: null });
    await answer({}, addMinutes(evening, 3));
    const rows = (await resultsCsv(house.db, bo)).trim().split('\r\n');
    expect(rows[0]).toBe('day,drill,level,case,score,seconds,not_shown');
    expect(rows[1]).toBe(`${isoDay(evening.toISOString())},heat,1,5,0,40,Warm at the first touch; How long it may lie`);
    expect(rows[2]).toContain(',heat,1,5,1,40,');
    expect(rows.join()).not.toContain('Farn');
  });

  it('are a page with what is known and when it was practised', async () => {
    await answer();
    expect(await readPrinted(house.db, bo, evening)).toMatchObject({
      ...{ name: 'Bo Farn', house: 'Haus am Bach', answers: 1, minutes: 1 },
      skills: [{ title: 'Warm at the first touch' }, { title: 'How long it may lie' }],
      sessions: [{ answers: 1, mean: 1 }],
    });
    expect(await readPrinted(house.db, 99, evening)).toBeUndefined();
  });

  it('are erased by oneself, and nobody else’s with them', async () => {
    await answer();
    await answer({}, evening, owner);
    await eraseResults(house.db, bo, { therapistId: bo, now: evening });
    expect(await listAnswers(house.db, bo)).toEqual([]);
    expect((await readCards(house.db, bo)).size).toBe(0);
    expect(await listAnswers(house.db, owner)).toHaveLength(1);
    expect((await listAudit(house.db, {}, { from: 0, count: 20 })).map(({ action }) => action)).toContain(
      'practice erased',
    );
  });

  it('go with whoever leaves the house', async () => {
    await answer();
    const leaving = StaffInput.parse({
      ...{ name: 'Bo Farn', login: 'bo', role: 'therapist', qualifications: ['massage'], title: 'Massage therapist' },
      ...{ password: '', pin: '', hasLeft: true },
    });
    expect(await saveStaff(house.db, bo, leaving, actor)).toMatchObject({ kind: 'saved' });
    expect(await listAnswers(house.db, bo)).toEqual([]);
    expect(await listSessions(house.db, bo)).toEqual([]);
  });
});

describe('a trainer', () => {
  const set = (change: object = {}) =>
    SetInput.parse({ ...heat, dueOn: isoDay(addDays(now, 7).toISOString()), modality: 'hot-stone', ...change });
  const setOne = async (change: object = {}) => {
    const saved = await addSet(house.db, set(change), actor);
    if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
    return saved.id;
  };

  it('sets a drill that is asked before a kind of work; it is mentioned until it is done well', async () => {
    const id = await setOne();
    expect(await readMentions(house.db, bo)).toMatchObject([{ modality: 'hot-stone' }]);
    await answer({ set: id, answer: null });
    expect(await readMentions(house.db, bo)).toHaveLength(1);
    await answer({ set: id });
    expect(await readMentions(house.db, bo)).toEqual([]);
    expect(await readMentions(house.db, owner)).toHaveLength(1);
  });

  it('counts only the case that was set', async () => {
    const id = await setOne();
    const easier = { ...heat, seed: 6 };
    expect(await refusal({ ...easier, answer: bestOf(easier), set: id })).toEqual(['set']);
    expect(await readMentions(house.db, bo)).toHaveLength(1);
  });

  it('mentions nothing of a drill without work', async () => {
    await setOne({ modality: null });
    expect(await readMentions(house.db, bo)).toEqual([]);
  });

  it('takes it back, once; its answers stay answers', async () => {
    const id = await setOne();
    await answer({ set: id });
    expect(await removeSet(house.db, id, actor)).toEqual({ kind: 'saved' });
    expect(await removeSet(house.db, id, actor)).toEqual({ kind: 'not-found' });
    expect((await readKnown(house.db, bo, evening)).sets).toEqual([]);
    expect(await listAnswers(house.db, bo)).toHaveLength(1);
  });

  it('sees who is sure in what as the house lists them, whoever is better', async () => {
    const id = await setOne();
    await answer({ set: id });
    const { people, sets, works } = await readTeam(house.db, evening);
    expect(people.map(({ name }) => name)).toEqual(['Ida Moor', 'Bo Farn']);
    expect(people[0]).toMatchObject({ kinds: [], weakest: [], lastOn: null, minutesOfWeek: 0 });
    expect(people[1]).toMatchObject({ kinds: [{ kind: 'heat' }], sets: [{ id, best: 1 }] });
    expect(people[1]?.weakest).toHaveLength(2);
    expect(sets).toMatchObject([{ id, work: 'Hot stones' }]);
    expect(works.length).toBeGreaterThan(5);
  });

  it('cannot set what is over or what nobody does', async () => {
    const day = isoDay(addDays(now, -1).toISOString());
    expect(await addSet(house.db, set({ dueOn: day, modality: 'juggling' }), actor)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'dueOn' }, { path: 'modality' }],
    });
    expect(await addSet(house.db, set(), { therapistId: null, now })).toEqual({ kind: 'not-found' });
  });
});
