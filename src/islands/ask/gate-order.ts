import type { CheckGate } from '../../core/visit/check-gates';
import { type CheckAnswers, gateAnswer, type VisitCheck } from '../../core/visit/visit-check';

const mark = 'gate:';

/** The id of a gate among the questions. */
export const gateRow = ({ id }: Pick<CheckGate, 'id'>): string => `${mark}${id}`;

export const gateOfRow = (check: VisitCheck, id: string): CheckGate | undefined =>
  id.startsWith(mark) ? check.gates.find((gate) => gateRow(gate) === id) : undefined;

/** A gate stands open when it was opened by hand, or when there is a yes behind it. */
export const isGateOpen = (gate: CheckGate, answers: CheckAnswers, opened: ReadonlySet<string>): boolean =>
  opened.has(gate.id) || gateAnswer(gate, answers) === 'yes';

/** What stands in the list, from top to bottom: what was so before its gate, the gate, what is behind an open one. */
export function gateOrder(check: VisitCheck, answers: CheckAnswers, opened: ReadonlySet<string>): readonly string[] {
  return check.gates.flatMap((gate) => [
    ...gate.still,
    ...(gate.questions.length > 0 ? [gateRow(gate)] : []),
    ...(isGateOpen(gate, answers, opened) ? gate.questions : []),
  ]);
}

/** Whether a row of the list still waits for an answer; an open gate waits behind itself. */
function isRowOpen(check: VisitCheck, answers: CheckAnswers, opened: ReadonlySet<string>, id: string): boolean {
  const gate = gateOfRow(check, id);
  if (!gate) return answers[id] === undefined;
  return !isGateOpen(gate, answers, opened) && gateAnswer(gate, answers) === null;
}

/** The next row that waits, from one on and round to the start. */
export function nextOpenRow(
  check: VisitCheck,
  answers: CheckAnswers,
  opened: ReadonlySet<string>,
  after?: string,
): string | undefined {
  const order = gateOrder(check, answers, opened);
  const from = after === undefined ? 0 : order.indexOf(after) + 1;
  return [...order.slice(from), ...order.slice(0, from)].find((id) => isRowOpen(check, answers, opened, id));
}

/** What a no to all that is left answers. What was so at an earlier visit is asked, whatever else is not. */
export function restNo(check: VisitCheck, answers: CheckAnswers): Readonly<Record<string, 'no'>> {
  const left = check.gates.flatMap(({ questions }) => questions).filter((id) => answers[id] === undefined);
  return Object.fromEntries(left.map((id) => [id, 'no' as const]));
}

/** How many rows of the list have their answer. */
export function progressOfGates(check: VisitCheck, answers: CheckAnswers, opened: ReadonlySet<string>) {
  const order = gateOrder(check, answers, opened);
  return { done: order.filter((id) => !isRowOpen(check, answers, opened, id)).length, all: order.length };
}
