import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkGates, screeningBook } from '../../catalogue/screening/screening';
import { type GateCase, mattersFor } from './check-gates';
import { type CheckAnswers, countOpen, gateAnswer, judgeVisitCheck, makeVisitCheck, wordingOf } from './visit-check';

const tables = () => ({
  conditions: screeningBook.conditions.values(),
  redFlags: screeningBook.redFlags,
  gates: checkGates,
});
const checkOf = (asked: GateCase = {}) => makeVisitCheck(tables(), asked);
const idsOf = ({ flags, still, today, others }: ReturnType<typeof checkOf>) =>
  [...flags, ...still, ...today, ...others].map(({ id }) => id);
const noTo = (ids: readonly string[]): CheckAnswers => Object.fromEntries(ids.map((id) => [id, 'no']));

const check = checkOf();
const ids = idsOf(check);
const allNo = noTo(ids);
const askedAtVisits = [...screeningBook.conditions.values()].filter(({ askAt }) => askAt.includes('visit'));

describe('the check before a visit', () => {
  it('asks every red flag, worst first, and every finding of the day once', () => {
    expect(check.flags.length).toBe(screeningBook.redFlags.length);
    expect(check.flags[0]?.flag?.action).toBe('stop-urgent');
    expect(check.flags.at(-1)?.flag?.action).toBe('postpone');
    const asked = [
      ...check.flags.map((q) => q.flag?.condition),
      ...check.today.flatMap((group) => group.conditions.map((c) => c.id)),
    ];
    const expected = askedAtVisits.map((c) => c.id);
    expect(new Set(asked)).toEqual(new Set([...expected, ...screeningBook.redFlags.map((f) => f.condition)]));
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('lets the visit go on once every question has its answer', () => {
    expect(judgeVisitCheck(check, allNo).kind).toBe('go');
    const { 'borne-badly': _, ...rest } = allNo;
    expect(judgeVisitCheck(check, rest)).toMatchObject({ kind: 'open', unanswered: ['borne-badly'], stoppedBy: [] });
    expect(judgeVisitCheck(check, {}).unanswered).toEqual(ids);
  });

  it('stops at one yes to a red flag, the most urgent first, whatever else is open', () => {
    const outcome = judgeVisitCheck(check, { 'fever-today': 'yes', 'chest-or-breath': 'yes' });
    expect(outcome.kind).toBe('stop');
    expect(outcome.stoppedBy.map((flag) => flag.id)).toEqual(['chest-or-breath', 'fever-today']);
  });

  it('asks afresh what was so at an earlier visit, each by itself', () => {
    const again = checkOf({ onRecord: new Set(['eczema', 'asthma']) });
    expect(again.still.map((question) => question.id)).toEqual(['still:eczema']);
    expect(again.today.flatMap((group) => group.conditions.map((c) => c.id))).not.toContain('eczema');
    expect(judgeVisitCheck(again, allNo)).toMatchObject({ kind: 'open', unanswered: ['still:eczema'] });
  });

  it('only notes that something is new, or that there is something behind a gate', () => {
    expect(judgeVisitCheck(check, { ...allNo, 'today:new': 'yes', 'today:skin': 'yes' }).kind).toBe('go');
  });
});

describe('the gates of the check', () => {
  it('are seven at most', () => {
    expect(check.gates.length).toBeGreaterThan(4);
    expect(check.gates.length).toBeLessThanOrEqual(7);
  });

  it.each(screeningBook.redFlags.map(({ id }) => [id]))('hold the red flag %s exactly once', (id) => {
    expect(checkGates.filter(({ redFlags }) => redFlags.includes(id))).toHaveLength(1);
  });

  it.each(askedAtVisits.map(({ id }) => [id]))('hold %s, which is asked at visits, exactly once', (id) => {
    expect(checkGates.filter(({ conditions }) => conditions.includes(id))).toHaveLength(1);
  });

  it('name only what there is', () => {
    const flags = new Set(screeningBook.redFlags.map(({ id }) => id));
    for (const { redFlags, conditions } of checkGates) {
      expect(redFlags.filter((id) => !flags.has(id))).toEqual([]);
      expect(conditions.filter((id) => !screeningBook.conditions.has(id))).toEqual([]);
    }
  });

  it('close the whole check with a no each', () => {
    const answers = noTo(check.gates.flatMap(({ questions }) => questions));
    expect(judgeVisitCheck(check, answers).kind).toBe('go');
    expect(check.gates.map((gate) => gateAnswer(gate, answers))).toEqual(check.gates.map(() => 'no'));
  });

  it('ask red flags first behind each', () => {
    const flags = new Set(check.flags.map(({ id }) => id));
    for (const { questions } of check.gates) {
      const kinds = questions.map((id) => flags.has(id));
      expect(kinds).toEqual(kinds.toSorted((a, b) => Number(b) - Number(a)));
    }
  });

  it('stand open until all behind them is answered, and say yes when one of it is', () => {
    const [alarm] = check.gates;
    if (!alarm) throw new Error('there is a gate');
    const [first = '', ...rest] = alarm.questions;
    expect(gateAnswer(alarm, {})).toBeNull();
    expect(gateAnswer(alarm, noTo(rest))).toBeNull();
    expect(gateAnswer(alarm, { ...noTo(rest), [first]: 'yes' })).toBe('yes');
  });

  it('are what is counted as open, with what was so before', () => {
    const again = checkOf({ onRecord: new Set(['eczema']) });
    expect(countOpen(again, {})).toBe(again.gates.length + 1);
    expect(countOpen(again, noTo(again.gates[0]?.questions ?? []))).toBe(again.gates.length);
    expect(countOpen(again, noTo(idsOf(again)))).toBe(0);
  });

  it('count nothing as open exactly when every question has its answer', () => {
    fc.assert(
      fc.property(fc.subarray(ids), (answered) => {
        const answers = noTo(answered);
        expect(countOpen(check, answers) === 0).toBe(judgeVisitCheck(check, answers).unanswered.length === 0);
      }),
    );
  });

  it('say the day of the last visit', () => {
    const { gates } = checkOf({ lastVisit: '12 November' });
    expect(gates.find(({ id }) => id === 'new')?.text).toBe('Anything new since 12 November?');
    expect(check.gates.find(({ id }) => id === 'new')?.text).toBe('Anything new since the last visit?');
  });

  it('ask nothing of a last visit at the first', () => {
    const { gates, others } = checkOf({ isFirst: true });
    expect(gates.map(({ id }) => id)).not.toContain('after');
    expect(others).toEqual([]);
    expect(gates.find(({ id }) => id === 'new')?.text).toBe('Anything new since you booked?');
  });

  it.each([
    [11, false],
    [12, true],
    [55, true],
    [56, false],
    [null, true],
  ])('ask at the age of %s about a pregnancy: %s', (ageYears, isAsked) => {
    const { gates, flags } = checkOf({ ageYears });
    expect(gates.some(({ id }) => id === 'pregnant')).toBe(isAsked);
    expect(flags.some(({ id }) => id === 'pregnancy-danger')).toBe(isAsked);
  });

  it('always ask while a pregnancy is on record, and tell it', () => {
    const told = new Map([['pregnant', ['due on 3 May 2027']] as const]);
    const { gates, flags } = checkOf({ ageYears: 57, told });
    expect(gates.find(({ id }) => id === 'pregnant')?.onRecord).toEqual(['due on 3 May 2027']);
    expect(flags.some(({ id }) => id === 'pregnancy-danger')).toBe(true);
    expect(checkOf({ ageYears: 57, onRecord: new Set(['pregnancy-2']) }).flags).toHaveLength(check.flags.length);
  });

  it('open only what matters for the work, and red flags always', () => {
    const work = ['lymph-drainage'];
    const drained = checkOf({ work });
    const opened = drained.today.flatMap(({ conditions }) => conditions.map(({ id }) => id));
    expect(opened).not.toContain('hair-chemical-today');
    const ofWork = drained.gates.find(({ id }) => id === 'work')?.questions ?? [];
    for (const id of ofWork) {
      const condition = screeningBook.conditions.get(id.replace('today:work.', ''));
      expect(condition && mattersFor(condition, work), id).toBe(true);
    }
    expect(drained.flags.length).toBe(screeningBook.redFlags.length);
    const rubbed = checkOf({ work: ['scalp-ritual'] });
    expect(rubbed.today.flatMap(({ conditions }) => conditions.map(({ id }) => id))).toContain('hair-chemical-today');
  });

  it('are open again when other work asks for more', () => {
    const drained = checkOf({ work: ['lymph-drainage'] });
    const answers = noTo(idsOf(drained));
    expect(judgeVisitCheck(drained, answers).kind).toBe('go');
    const rubbed = judgeVisitCheck(checkOf({ work: ['lymph-drainage', 'scalp-ritual'] }), answers);
    expect(rubbed).toMatchObject({ kind: 'open' });
    expect(rubbed.unanswered).toContain('today:work.hair-chemical-today');
  });

  it('put what the work asks into the words of its gate', () => {
    const hint = (work: readonly string[]) => checkOf({ work }).gates.find(({ id }) => id === 'work')?.hint ?? '';
    expect(hint(['scalp-ritual'])).not.toBe(hint(['facial-intraoral']));
    expect(hint(['scalp-ritual'])).toMatch(/colour|dye/i);
  });

  it('stand before what was so at an earlier visit: that is asked by itself', () => {
    const again = checkOf({ onRecord: new Set(['eczema']) });
    const skin = again.gates.find(({ id }) => id === 'skin');
    expect(skin?.still).toEqual(['still:eczema']);
    expect(skin?.questions).not.toContain('still:eczema');
  });

  it('take what a house has added to no gate among what is new', () => {
    const [first] = askedAtVisits;
    if (!first) throw new Error('something is asked at visits');
    const own = { ...first, id: 'own-finding', label: 'Own finding', ask: 'Has it?' };
    const { today } = makeVisitCheck({ ...tables(), conditions: [...screeningBook.conditions.values(), own] });
    expect(today.find(({ id }) => id === 'today:new')?.conditions.map(({ id }) => id)).toContain('own-finding');
  });

  it('lose no question, whoever comes for whatever', () => {
    const asked = fc.record({
      onRecord: fc.subarray(askedAtVisits.map(({ id }) => id)).map((list) => new Set(list)),
      work: fc.subarray([...screeningBook.modalities.keys()]),
      isFirst: fc.boolean(),
      ageYears: fc.option(fc.integer({ min: 0, max: 99 })),
    });
    fc.assert(
      fc.property(asked, (one) => {
        const made = checkOf(one);
        const behind = made.gates.flatMap(({ questions, still }) => [...still, ...questions]);
        expect(new Set(behind)).toEqual(new Set(idsOf(made)));
        expect(behind.length).toBe(idsOf(made).length);
      }),
    );
  });
});

describe('the words behind the answers', () => {
  it('are kept for each question that has one', () => {
    const asked = wordingOf(check, { 'fever-today': 'yes', 'today:skin': 'no' });
    expect(Object.keys(asked).sort()).toEqual(['fever-today', 'today:skin']);
  });

  it('name the whole gate where its no was taken', () => {
    const { 'fever-today': words } = wordingOf(check, { 'fever-today': 'no' });
    const ill = check.gates.find(({ id }) => id === 'ill');
    expect(words).toContain(ill?.hint);
    expect(words).toContain(screeningBook.redFlags.find(({ id }) => id === 'fever-today')?.ask);
  });

  it('are the question alone where it was answered yes', () => {
    const { 'fever-today': words } = wordingOf(check, { 'fever-today': 'yes' });
    expect(words).toBe(screeningBook.redFlags.find(({ id }) => id === 'fever-today')?.ask);
  });
});
