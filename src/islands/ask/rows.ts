import type { AskState, AskView } from '../../contracts/ask-views';
import type { ConditionView } from '../../contracts/screening-views';

/** One line of the intake: the gate of a group, or a question within an opened one. */
export type IntakeRow =
  | { readonly kind: 'gate'; readonly id: string; readonly group: string; readonly text: string; readonly hint: string }
  | {
      readonly kind: 'question';
      readonly id: string;
      readonly group: string;
      readonly text: string;
      readonly condition: ConditionView;
    };

export interface IntakeGroup {
  readonly group: string;
  readonly gate: IntakeRow & { readonly kind: 'gate' };
  readonly questions: readonly (IntakeRow & { readonly kind: 'question' })[];
  readonly state: 'open' | 'closed' | 'unasked';
  /** Questions of the group that still lack an answer. */
  readonly unanswered: readonly string[];
}

export const gateId = (group: string) => `gate:${group}`;

/** The intake as it stands: groups that were opened by hand or by a yes show their questions. */
export function intakeGroups(
  view: Pick<AskView, 'conditions' | 'gates'>,
  intake: AskState['intake'],
  opened: ReadonlySet<string>,
): readonly IntakeGroup[] {
  return view.gates.map(({ group, ask, suchAs }) => {
    const conditions = view.conditions.filter((condition) => condition.group === group && condition.atIntake);
    const answered = conditions.filter(({ id }) => intake[id] !== undefined);
    const isPositive = conditions.some(({ id }) => intake[id] === 'yes' || intake[id] === 'unsure');
    const isAllAnswered = answered.length === conditions.length;
    const state = isPositive || opened.has(group) ? 'open' : isAllAnswered ? 'closed' : 'unasked';
    return {
      group,
      gate: { kind: 'gate', id: gateId(group), group, text: ask, hint: suchAs },
      questions: conditions.map((condition) => ({
        kind: 'question',
        id: condition.id,
        group,
        text: condition.ask,
        condition,
      })),
      state,
      unanswered: conditions.filter(({ id }) => intake[id] === undefined).map(({ id }) => id),
    };
  });
}

/** Everything that can be answered now, in order: questions of opened groups, gates of the others. */
export function visibleRows(groups: readonly IntakeGroup[]): readonly IntakeRow[] {
  return groups.flatMap((group): readonly IntakeRow[] =>
    group.state === 'open' ? [group.gate, ...group.questions] : [group.gate],
  );
}

/** The row that comes next after one was answered: the next that lacks an answer, from there on and then from the top. */
export function nextRow(rows: readonly IntakeRow[], groups: readonly IntakeGroup[], after: string): string | undefined {
  const open = new Set(
    groups.flatMap((g) => (g.state === 'unasked' ? [g.gate.id] : g.state === 'open' ? g.unanswered : [])),
  );
  const index = rows.findIndex((row) => row.id === after);
  return [...rows.slice(index + 1), ...rows.slice(0, index + 1)].find((row) => open.has(row.id))?.id;
}

/** How much of the intake is done, in what has to be answered: the gate of a group, or its questions once it is open. */
export function progressOf(groups: readonly IntakeGroup[]): { readonly done: number; readonly all: number } {
  const parts = groups.map(({ state, questions, unanswered }) =>
    state === 'open'
      ? { done: questions.length - unanswered.length, all: questions.length }
      : { done: state === 'closed' ? 1 : 0, all: 1 },
  );
  return {
    done: parts.reduce((sum, part) => sum + part.done, 0),
    all: parts.reduce((sum, part) => sum + part.all, 0),
  };
}
