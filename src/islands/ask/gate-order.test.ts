import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkGates, screeningBook } from '../../catalogue/screening/screening';
import { type CheckAnswers, judgeVisitCheck, makeVisitCheck } from '../../core/visit/visit-check';
import { gateOfRow, gateOrder, gateRow, isGateOpen, nextOpenRow, progressOfGates, restNo } from './gate-order';

const check = makeVisitCheck(
  { conditions: screeningBook.conditions.values(), redFlags: screeningBook.redFlags, gates: checkGates },
  { onRecord: new Set(['eczema']), work: ['lymph-drainage'] },
);
const [alarm, ill] = check.gates;
if (!alarm || !ill) throw new Error('there are gates');
const none: ReadonlySet<string> = new Set();
const noTo = (ids: readonly string[]): CheckAnswers => Object.fromEntries(ids.map((id) => [id, 'no']));

describe('the list of gates', () => {
  it('shows gates only, and before a gate what was so at an earlier visit', () => {
    const order = gateOrder(check, {}, none);
    expect(order.filter((id) => gateOfRow(check, id))).toHaveLength(check.gates.length);
    expect(order.indexOf('still:eczema')).toBe(order.indexOf('gate:skin') - 1);
  });

  it('shows behind an open gate its questions', () => {
    const order = gateOrder(check, {}, new Set([ill.id]));
    const at = order.indexOf(gateRow(ill));
    expect(order.slice(at + 1, at + 1 + ill.questions.length)).toEqual(ill.questions);
  });

  it('keeps a gate open behind which there is a yes', () => {
    const answers: CheckAnswers = { [ill.questions[0] ?? '']: 'yes' };
    expect(isGateOpen(ill, answers, none)).toBe(true);
    expect(gateOrder(check, answers, none)).toContain(ill.questions[1]);
  });

  it('asks gate after gate, and ends when each has its no', () => {
    let answers: CheckAnswers = {};
    const pressed: string[] = [];
    for (let id = nextOpenRow(check, answers, none); id !== undefined; id = nextOpenRow(check, answers, none, id)) {
      pressed.push(id);
      answers = { ...answers, ...noTo(gateOfRow(check, id)?.questions ?? [id]) };
    }
    expect(judgeVisitCheck(check, answers).kind).toBe('go');
    // A returning client without news: a key for each gate, and one for what was so before.
    expect(pressed.length).toBe(check.gates.length + 1);
    expect(pressed.length).toBeLessThanOrEqual(8);
  });

  it('goes on to what waits, and round to what was left before', () => {
    expect(nextOpenRow(check, {}, none, gateRow(alarm))).toBe(gateRow(ill));
    const later = check.gates.slice(1).flatMap(({ questions, still }) => [...still, ...questions]);
    expect(nextOpenRow(check, noTo(later), none, gateRow(ill))).toBe(gateRow(alarm));
    expect(nextOpenRow(check, noTo([...later, ...alarm.questions]), none)).toBeUndefined();
  });

  it('counts what has its answer', () => {
    const { done, all } = progressOfGates(check, noTo(alarm.questions), none);
    expect([done, all]).toEqual([1, check.gates.length + 1]);
  });
});

describe('no to the rest', () => {
  it('answers all that is open, but not what was so at an earlier visit', () => {
    const rest = restNo(check, {});
    expect(Object.keys(rest)).not.toContain('still:eczema');
    expect(judgeVisitCheck(check, rest)).toMatchObject({ kind: 'open', unanswered: ['still:eczema'] });
  });

  it('never changes an answer that was given', () => {
    const all = check.gates.flatMap(({ questions }) => questions);
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...all), fc.constantFrom('yes' as const, 'no' as const)), (given) => {
        const after = { ...given, ...restNo(check, given) };
        expect(after).toMatchObject(given);
        expect(all.filter((id) => after[id] === undefined)).toEqual([]);
      }),
    );
  });
});
