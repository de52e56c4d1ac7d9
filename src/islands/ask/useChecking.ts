import { useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import { type CheckAnswers, judgeVisitCheck } from '../../core/visit/visit-check';
import { askWords } from './ask.words';
import { gateOfRow, gateOrder, nextOpenRow, progressOfGates, restNo } from './gate-order';
import type { Answer, Asking } from './useAsk';

const stillMark = 'still:';

/**
 * The check of the day: by gates, each of which closes many questions with one no, or one question after the other.
 * @param say tells what an answer could not do
 */
export function useChecking({ check }: AskView, asking: Asking, say: (words: string) => void) {
  const answers = asking.state.check;
  const [isOneByOne, setIsOneByOne] = useState(false);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [wanted, setCurrent] = useState<string>();
  /** As it stood before all that was left was answered in one go. */
  const [before, setBefore] = useState<CheckAnswers>();
  const all = [check.flags, check.still, check.today, check.others].flat().map(({ id }) => id);
  const order = isOneByOne ? all : gateOrder(check, answers, opened);
  const outcome = judgeVisitCheck(check, answers);

  const nextOf = (now: CheckAnswers, nowOpened: ReadonlySet<string>, after?: string) => {
    if (!isOneByOne) return nextOpenRow(check, now, nowOpened, after);
    const from = after === undefined ? 0 : all.indexOf(after) + 1;
    return [...all.slice(from), ...all.slice(0, from)].find((id) => now[id] === undefined);
  };
  const current = wanted !== undefined && order.includes(wanted) ? wanted : (nextOf(answers, opened) ?? order[0]);

  const take = (changed: Readonly<Record<string, 'yes' | 'no'>>, after: string, nowOpened = opened) => {
    asking.answerCheck(changed);
    setCurrent(nextOf({ ...answers, ...changed }, nowOpened, after) ?? after);
  };

  const answer = (id: string, given: Answer) => {
    if (given === 'unsure') return;
    setBefore(undefined);
    const gate = gateOfRow(check, id);
    if (gate && given === 'yes') {
      setOpened(new Set([...opened, gate.id]));
      setCurrent(gate.questions[0] ?? id);
      return;
    }
    if (gate) {
      if (gate.questions.some((one) => answers[one] === 'yes')) {
        say(askWords.thereIsAYesInThis);
        return;
      }
      const shut = new Set([...opened].filter((one) => one !== gate.id));
      setOpened(shut);
      take(Object.fromEntries(gate.questions.map((one) => [one, 'no' as const])), id, shut);
      return;
    }
    // What is over goes from the record, too.
    if (id.startsWith(stillMark) && (given === 'no' || answers[id] === 'no'))
      asking.answerIntake([{ condition: id.slice(stillMark.length), answer: given }]);
    // Of what the work asks there is one finding behind a question: its answer is the finding's.
    const [only, ...others] = check.today.find((group) => group.id === id)?.conditions ?? [];
    if (only && others.length === 0 && (given === 'yes' || answers[id] === 'yes'))
      asking.answerIntake([{ condition: only.id, answer: given }]);
    if (given === 'yes' && id.startsWith('today:')) {
      asking.answerCheck({ [id]: given });
      setCurrent(id);
    } else take({ [id]: given }, id);
  };

  return {
    ...{ outcome, current, setCurrent, answer, opened, isOneByOne },
    progress: isOneByOne
      ? { done: all.length - outcome.unanswered.length, all: all.length }
      : progressOfGates(check, answers, opened),
    setOneByOne: (is: boolean) => {
      setIsOneByOne(is);
      setCurrent(undefined);
    },
    /** No to all that is left; what was so at an earlier visit stays to be asked. */
    restNo: () => {
      const changed = restNo(check, answers);
      if (Object.keys(changed).length === 0) return;
      setBefore(answers);
      setOpened(new Set());
      take(changed, '', new Set());
    },
    /** Takes back the last answer to all that was left. */
    undoRest:
      before === undefined
        ? undefined
        : () => {
            asking.replaceCheck(before);
            setBefore(undefined);
            setCurrent(undefined);
          },
    /** Goes to the question before or behind. */
    step: (by: 1 | -1) => {
      const index = order.indexOf(current ?? '') + by;
      setCurrent(order[Math.max(0, Math.min(order.length - 1, index))]);
    },
  };
}
