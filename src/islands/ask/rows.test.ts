import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gateRows } from '../../catalogue/screening/intake.data';
import { listConditions } from '../../server/screening/describe-finding';
import { gateId, intakeGroups, nextRow, progressOf, visibleRows } from './rows';

const view = {
  conditions: listConditions(),
  gates: gateRows.map(([group, ask, suchAs]) => ({ group, ask, suchAs })),
};
type Intake = Parameters<typeof intakeGroups>[1];
const none: ReadonlySet<string> = new Set();
const groupsOf = (intake: Intake = {}, opened: ReadonlySet<string> = none) => intakeGroups(view, intake, opened);
const [first, second] = view.gates;
const firstGroup = first?.group ?? '';
const questionsOf = (group: string) =>
  view.conditions.filter((condition) => condition.group === group && condition.atIntake).map(({ id }) => id);
const allNo = (group: string): Intake => Object.fromEntries(questionsOf(group).map((id) => [id, 'no' as const]));

describe('the intake as rows', () => {
  it('asks every condition of the intake in exactly one group, but for those that the birthday tells', () => {
    const ids = groupsOf().flatMap((group) => group.questions.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    const byAge = ['child-under-12', 'minor', 'older-adult'];
    const all = view.conditions.filter((c) => c.atIntake).map(({ id }) => id);
    expect([...ids, ...byAge].toSorted()).toEqual(all.toSorted());
    for (const gate of view.gates) expect(gate.ask.endsWith('?')).toBe(true);
  });

  it('begins with the gates alone', () => {
    expect(visibleRows(groupsOf()).map(({ kind }) => kind)).toEqual(view.gates.map(() => 'gate'));
  });

  it('opens a group by hand or by a yes, and closes it when all is no', () => {
    const state = (intake: Intake, opened = none) => groupsOf(intake, opened)[0]?.state;
    expect(state({})).toBe('unasked');
    expect(state({}, new Set([firstGroup]))).toBe('open');
    expect(state({ [questionsOf(firstGroup)[0] ?? '']: 'unsure' })).toBe('open');
    expect(state(allNo(firstGroup))).toBe('closed');
  });

  it('keeps a half-answered group in sight as unasked, so that nothing is passed over', () => {
    const [one] = questionsOf(firstGroup);
    expect(groupsOf({ [one ?? '']: 'no' })[0]?.state).toBe('unasked');
  });

  it('leads from gate to gate, into an opened group, and round to what was skipped', () => {
    const groups = groupsOf();
    expect(nextRow(visibleRows(groups), groups, gateId(firstGroup))).toBe(gateId(second?.group ?? ''));
    const opened = groupsOf({}, new Set([firstGroup]));
    expect(nextRow(visibleRows(opened), opened, gateId(firstGroup))).toBe(questionsOf(firstGroup)[0]);
    const last = gateId(view.gates.at(-1)?.group ?? '');
    expect(nextRow(visibleRows(groups), groups, last)).toBe(gateId(firstGroup));
  });

  it('has no next row once everything is answered', () => {
    const intake = Object.assign({}, ...view.gates.map(({ group }) => allNo(group))) as Intake;
    const groups = groupsOf(intake);
    expect(nextRow(visibleRows(groups), groups, gateId(firstGroup))).toBeUndefined();
    expect(progressOf(groups)).toEqual({ done: view.gates.length, all: view.gates.length });
  });

  it('always reaches the end by answering what is next, whatever is answered', () => {
    fc.assert(
      fc.property(fc.infiniteStream(fc.constantFrom('yes', 'no', 'unsure')), (answers) => {
        let intake: Intake = {};
        let opened: ReadonlySet<string> = none;
        for (let i = 0; i < 400; i += 1) {
          const groups = groupsOf(intake, opened);
          const rows = visibleRows(groups);
          const at = nextRow(rows, groups, '');
          if (at === undefined) {
            const { done, all } = progressOf(groups);
            expect(done).toBe(all);
            return;
          }
          const answer = answers.next().value ?? 'no';
          const group = groups.find((g) => g.gate.id === at);
          if (!group) intake = { ...intake, [at]: answer };
          else if (answer === 'no') intake = { ...intake, ...allNo(group.group) };
          else opened = new Set([...opened, group.group]);
        }
        throw new Error('the intake never ends');
      }),
      { numRuns: 25 },
    );
  });
});
