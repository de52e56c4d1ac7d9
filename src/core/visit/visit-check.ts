import type { Condition, RedFlag } from '../screening/tables';

/** The check before every visit: every red flag, what may have come up today, and how the last visit was borne. */

export type CheckAnswer = 'yes' | 'no';
/** Question id → answer. A red flag by its id; `anything-new` and `borne-badly`; `today:<group>` for a group of findings. */
export type CheckAnswers = Readonly<Record<string, CheckAnswer>>;

export interface CheckQuestion {
  readonly id: string;
  readonly text: string;
  readonly hint?: string;
  /** Present for a red flag: what a yes ends the visit with. */
  readonly flag?: RedFlag;
}

/** Findings that are asked afresh at each visit, one group of them. */
export interface TodayGroup {
  readonly id: string;
  readonly group: string;
  readonly conditions: readonly { readonly id: string; readonly label: string; readonly ask: string }[];
}

export interface VisitCheck {
  /** Findings of an earlier day that are asked afresh: none of them is carried over unasked. */
  readonly still: readonly CheckQuestion[];
  readonly flags: readonly CheckQuestion[];
  readonly today: readonly TodayGroup[];
  readonly others: readonly CheckQuestion[];
}

const urgency: Readonly<Record<RedFlag['action'], number>> = { 'stop-urgent': 0, 'refer-same-day': 1, postpone: 2 };

const others: readonly CheckQuestion[] = [
  {
    id: 'anything-new',
    text: 'Anything new since last time: medicine, operation, injection, diagnosis, pregnancy?',
    hint: 'If yes, add it to the findings.',
  },
  {
    id: 'borne-badly',
    text: 'After the last visit: bruises, lasting redness, more swelling, or unwell?',
    hint: 'If yes, note what and for how long.',
  },
];

/**
 * The questions of the check, worst first; what a red flag stands for is not asked twice.
 * @param onRecord conditions that were recorded before the day of the visit
 */
export function makeVisitCheck(
  conditions: Iterable<Condition>,
  redFlags: readonly RedFlag[],
  onRecord: ReadonlySet<string> = new Set(),
): VisitCheck {
  const flagged = new Set(redFlags.map((flag) => flag.condition));
  const still: CheckQuestion[] = [];
  const groups = new Map<string, Condition[]>();
  for (const condition of conditions) {
    if (!condition.askAt.includes('visit') || flagged.has(condition.id)) continue;
    if (onRecord.has(condition.id)) {
      still.push({
        id: `still:${condition.id}`,
        text: `Still so: ${condition.label.toLowerCase()}?`,
        hint: condition.ask,
      });
      continue;
    }
    groups.set(condition.groupId, [...(groups.get(condition.groupId) ?? []), condition]);
  }
  const flags = redFlags
    .toSorted((a, b) => urgency[a.action] - urgency[b.action])
    .map((flag): CheckQuestion => ({ id: flag.id, text: flag.ask, flag }));
  const today = [...groups].map(([id, list]) => ({
    id: `today:${id}`,
    group: list[0]?.group ?? '',
    conditions: list.map(({ id, label, ask }) => ({ id, label, ask })),
  }));
  return { flags, still, today, others };
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
