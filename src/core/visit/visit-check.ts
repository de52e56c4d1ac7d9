import type { Condition, RedFlag } from '../screening/tables';
import type { CheckQuestion, TodayGroup } from './check-question';
import {
  type CheckGate,
  type GateCase,
  type GateId,
  type GateRow,
  gateText,
  isGateAsked,
  makeGates,
  mattersFor,
} from './check-gates';
import { visitSays } from './visit.says';

/** The check before every visit: every red flag, what may have come up today, and how the last visit was borne. */

export type CheckAnswer = 'yes' | 'no';
/** Question id → answer. A red flag by its id; `borne-badly`; `today:<gate>` for the findings of a gate; `still:<condition>`. */
export type CheckAnswers = Readonly<Record<string, CheckAnswer>>;

export interface VisitCheck {
  /** Findings of an earlier day that are asked afresh: none of them is carried over unasked. */
  readonly still: readonly CheckQuestion[];
  readonly flags: readonly CheckQuestion[];
  readonly today: readonly TodayGroup[];
  readonly others: readonly CheckQuestion[];
  readonly gates: readonly CheckGate[];
}

const urgency: Readonly<Record<RedFlag['action'], number>> = { 'stop-urgent': 0, 'refer-same-day': 1, postpone: 2 };

const borneBadly: CheckQuestion = {
  id: 'borne-badly',
  text: visitSays.afterTheLastVisitBruisesLasting,
  hint: visitSays.ifYesNoteWhatAndFor,
};

/** What the check is made of: the tables of the screening. */
export interface CheckTables {
  readonly conditions: Iterable<Condition>;
  readonly redFlags: readonly RedFlag[];
  readonly gates: readonly GateRow[];
}

/**
 * The questions of the check, worst first, and the gates that close many of them at once; what a red flag stands for is
 * not asked twice.
 * @param asked what is known of the client and the visit: it decides what is asked afresh and what is left out
 */
export function makeVisitCheck({ conditions, redFlags, gates: rows }: CheckTables, asked: GateCase = {}): VisitCheck {
  const flagged = new Set(redFlags.map((flag) => flag.condition));
  const rowsAsked = rows.filter((row) => isGateAsked(row, asked));
  const gateOf = new Map(rowsAsked.flatMap((row) => row.conditions.map((id) => [id, row] as const)));
  // What a house has added to its conditions, and to no gate, counts as new.
  const newGate = rowsAsked.find(({ id }) => id === 'new');
  const everyGated = new Set(rows.flatMap((row) => row.conditions));
  const still: (CheckQuestion & { readonly gate: GateId })[] = [];
  const groups = new Map<GateRow, Condition[]>(rowsAsked.map((row) => [row, []]));
  for (const condition of conditions) {
    const gate = gateOf.get(condition.id) ?? (everyGated.has(condition.id) ? undefined : newGate);
    if (!gate || !condition.askAt.includes('visit') || flagged.has(condition.id)) continue;
    if (asked.onRecord?.has(condition.id)) {
      still.push({
        id: `still:${condition.id}`,
        text: visitSays.stillSo(condition.label.toLowerCase()),
        hint: condition.ask,
        gate: gate.id,
      });
    } else if (gate.id !== 'work' || mattersFor(condition, asked.work)) groups.get(gate)?.push(condition);
  }
  const closedBy = new Set(rowsAsked.flatMap((row) => row.redFlags));
  const flags = redFlags
    .filter(({ id }) => closedBy.has(id))
    .toSorted((a, b) => urgency[a.action] - urgency[b.action])
    .map((flag): CheckQuestion => ({ id: flag.id, text: flag.ask, flag }));
  const today = [...groups].flatMap(([row, list]): readonly TodayGroup[] => {
    const conditions = list.map(({ id, label, ask }) => ({ id, label, ask }));
    // What the work asks is asked one by one: other work then has questions that nobody has answered.
    if (row.id === 'work')
      return conditions.map((one) => ({ id: `today:work.${one.id}`, group: one.label, conditions: [one] }));
    return conditions.length === 0 ? [] : [{ id: `today:${row.id}`, group: gateText(row, asked), conditions }];
  });
  const others = rowsAsked.some(({ id }) => id === 'after') ? [borneBadly] : [];
  const gates = makeGates(rowsAsked, { flags, still, today, others }, asked);
  return { flags, still: still.map(({ gate: _, ...question }) => question), today, others, gates };
}

export interface CheckOutcome {
  readonly kind: 'open' | 'go' | 'stop';
  readonly unanswered: readonly string[];
  /** The red flags with a yes, most urgent first. */
  readonly stoppedBy: readonly RedFlag[];
}

/** One yes to a red flag stops the visit at once; otherwise every question has to be answered before it goes on. */
export function judgeVisitCheck(check: VisitCheck, answers: CheckAnswers): CheckOutcome {
  const ids = [...check.flags, ...check.still, ...check.today, ...check.others].map(({ id }) => id);
  const unanswered = ids.filter((id) => answers[id] === undefined);
  const stoppedBy = check.flags.flatMap(({ id, flag }) => (flag && answers[id] === 'yes' ? [flag] : []));
  if (stoppedBy.length > 0) return { kind: 'stop', unanswered, stoppedBy };
  return { kind: unanswered.length > 0 ? 'open' : 'go', unanswered, stoppedBy };
}

/** How a gate stands: no to all behind it, a yes among it, or open; a yes that was pressed opens it before one is answered. */
export function gateAnswer({ questions }: CheckGate, answers: CheckAnswers): CheckAnswer | null {
  if (questions.some((id) => answers[id] === 'yes')) return 'yes';
  return questions.every((id) => answers[id] === 'no') ? 'no' : null;
}

/** How many answers the check still asks for: one a gate, and one for whatever was so before. */
export function countOpen(check: VisitCheck, answers: CheckAnswers): number {
  const isOpen = (id: string) => answers[id] === undefined;
  const gates = check.gates.filter(({ questions }) => questions.some(isOpen)).length;
  return gates + check.still.filter(({ id }) => isOpen(id)).length;
}

/** Question → the words in which it was put, with those of the gate that closes it. */
export type CheckWording = Readonly<Record<string, string>>;

/** The words behind each answer: a gate's no stands for all that its words named. */
export function wordingOf(check: VisitCheck, answers: CheckAnswers): CheckWording {
  const own = [...check.flags, ...check.still, ...check.others].map(({ id, text }) => [id, text] as const);
  const groups = check.today.map(({ id, conditions }) => [id, conditions.map(({ ask }) => ask).join(' ')] as const);
  const gates = new Map(
    check.gates.flatMap(({ text, hint, questions }) => questions.map((id) => [id, `${text} ${hint}`] as const)),
  );
  return Object.fromEntries(
    [...own, ...groups]
      .filter(([id]) => answers[id] !== undefined)
      .map(([id, text]) => [id, answers[id] === 'no' && gates.has(id) ? `${gates.get(id) ?? ''} – ${text}` : text]),
  );
}
