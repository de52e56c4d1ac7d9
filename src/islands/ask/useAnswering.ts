import { askWords } from './ask.words';
import { useMemo, useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import { gateId, type IntakeGroup, intakeGroups, nextRow, progressOf, visibleRows } from './rows';
import type { Answer, useAsk } from './useAsk';
import { useChecking } from './useChecking';

export type AskPart = 'intake' | 'check';

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
  const checking = useChecking(view, asking, say);
  const order = rows.map(({ id }) => id);
  const current = wanted !== undefined && order.includes(wanted) ? wanted : (nextRow(rows, groups, '') ?? order[0]);

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

  const isIntake = part === 'intake';
  return {
    ...{ part, groups, checking, setCurrent, answerIntake, restNo },
    outcome: checking.outcome,
    current: isIntake ? current : checking.current,
    progress: progressOf(groups),
    showPart: (next: AskPart) => {
      setPart(next);
      setCurrent(undefined);
      checking.setCurrent(undefined);
    },
    answer: isIntake ? answerIntake : checking.answer,
    /** Answers what is left with no: of the group that is asked about, or of the whole check. */
    restOfCurrent: () => {
      if (!isIntake) {
        checking.restNo();
        return;
      }
      const group = groups.find((g) => g.gate.id === current || g.questions.some(({ id }) => id === current));
      if (group?.state === 'open') restNo(group);
    },
    /** Goes to the question before or behind. */
    step: (by: 1 | -1) => {
      if (!isIntake) {
        checking.step(by);
        return;
      }
      const index = order.indexOf(current ?? '') + by;
      setCurrent(order[Math.max(0, Math.min(order.length - 1, index))]);
    },
  };
}

/** The gate of the group that a question belongs to. */
function gateOf(groups: readonly IntakeGroup[], id: string): string {
  return groups.find((group) => group.questions.some((question) => question.id === id))?.gate.id ?? id;
}
