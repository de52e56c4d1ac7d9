import { askWords } from './ask.words';
import { useMemo, useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import { judgeVisitCheck } from '../../core/visit/visit-check';
import { gateId, type IntakeGroup, intakeGroups, nextRow, progressOf, visibleRows } from './rows';
import type { Answer, useAsk } from './useAsk';

export type AskPart = 'intake' | 'check';

const stillMark = 'still:';

/**
 * Which question is asked now, and where an answer leads: the gates and questions of the intake, or the short check.
 * @param say tells what an answer could not do
 */
export function useAnswering(view: AskView, asking: ReturnType<typeof useAsk>, say: (words: string) => void) {
  const { state } = asking;
  const [part, setPart] = useState<AskPart>(view.intakeDue ? 'intake' : 'check');
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [wanted, setCurrent] = useState<string>();
  const groups = useMemo(() => intakeGroups(view, state.intake, opened), [view, state.intake, opened]);
  const rows = useMemo(() => visibleRows(groups), [groups]);
  const outcome = judgeVisitCheck(view.check, state.check);
  const checkIds = [view.check.flags, view.check.still, view.check.today, view.check.others].flat().map(({ id }) => id);
  const order = part === 'intake' ? rows.map(({ id }) => id) : checkIds;
  const [firstOpen] = part === 'intake' ? [nextRow(rows, groups, '')] : outcome.unanswered;
  const current = wanted !== undefined && order.includes(wanted) ? wanted : (firstOpen ?? order[0]);

  const moveOn = (next: readonly IntakeGroup[], after: string) => {
    const nextRows = visibleRows(next);
    const from = nextRows.some(({ id }) => id === after) ? after : gateOf(next, after);
    setCurrent(nextRow(nextRows, next, from) ?? after);
  };

  /** Answers what is still open in a group with no. */
  const restNo = (group: IntakeGroup, nowOpened = opened) => {
    if (group.unanswered.length > 0)
      asking.answerIntake(group.unanswered.map((condition) => ({ condition, answer: 'no' as const })));
    const answered = Object.fromEntries(group.unanswered.map((id) => [id, 'no' as const]));
    const next = intakeGroups(view, { ...state.intake, ...answered }, nowOpened);
    moveOn(next, group.questions.at(-1)?.id ?? gateId(group.group));
  };

  const answerGate = (group: IntakeGroup, answer: Answer) => {
    if (answer !== 'no') {
      setOpened(new Set([...opened, group.group]));
      setCurrent(group.unanswered[0] ?? group.questions[0]?.id);
      return;
    }
    const without = new Set([...opened].filter((name) => name !== group.group));
    setOpened(without);
    const hasYes = group.questions.some(({ id }) => state.intake[id] === 'yes' || state.intake[id] === 'unsure');
    if (hasYes) say(askWords.thereIsAYesInThis);
    else restNo(group, without);
  };

  const answerIntake = (id: string, answer: Answer) => {
    const group = groups.find(({ gate }) => gate.id === id);
    if (group) {
      answerGate(group, answer);
      return;
    }
    asking.answerIntake([{ condition: id, answer }]);
    moveOn(intakeGroups(view, { ...state.intake, [id]: answer }, opened), id);
  };

  const answerCheck = (id: string, answer: Answer) => {
    if (answer === 'unsure') return;
    const changesIntake = answer === 'no' || state.check[id] === 'no';
    if (id.startsWith(stillMark) && changesIntake)
      asking.answerIntake([{ condition: id.slice(stillMark.length), answer }]);
    asking.answerCheck({ [id]: answer });
    if (answer === 'yes' && id.startsWith('today:')) return;
    const index = checkIds.indexOf(id);
    const after = [...checkIds.slice(index + 1), ...checkIds.slice(0, index)];
    setCurrent(after.find((other) => outcome.unanswered.includes(other)) ?? id);
  };

  return {
    ...{ part, groups, outcome, checkIds, current, setCurrent, answerIntake, answerCheck, restNo },
    progress: progressOf(groups),
    showPart: (next: AskPart) => {
      setPart(next);
      setCurrent(undefined);
    },
    answer: part === 'intake' ? answerIntake : answerCheck,
    /** Answers the rest of the group that is asked about with no. */
    restOfCurrent: () => {
      const group = groups.find((g) => g.gate.id === current || g.questions.some(({ id }) => id === current));
      if (part === 'intake' && group?.state === 'open') restNo(group);
    },
    /** Goes to the question before or behind. */
    step: (by: 1 | -1) => {
      const index = order.indexOf(current ?? '') + by;
      setCurrent(order[Math.max(0, Math.min(order.length - 1, index))]);
    },
  };
}

/** The gate of the group that a question belongs to. */
function gateOf(groups: readonly IntakeGroup[], id: string): string {
  return groups.find((group) => group.questions.some((question) => question.id === id))?.gate.id ?? id;
}
