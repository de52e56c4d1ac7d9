import { tableWords } from './table.words';
import type { MarkKind } from '../../core/table/mark-kinds';
import type { useTable } from './useTable';

/** What the two zones and the two pedals do now: answer what is asked, or go on and back. */
export function pressesOf(
  { again, asked, answerSide, goOn, goBack, state }: ReturnType<typeof useTable>,
  makeMark: (kind: MarkKind) => void,
) {
  if (again.length > 0)
    return {
      onNext: () => makeMark('asked-again'),
      onBack: () => makeMark('declined'),
      nextName: tableWords.nothingSpeaksAgainstIt,
      backName: tableWords.leaveThisWorkOut,
    };
  if (asked)
    return {
      onNext: () => answerSide('right'),
      onBack: () => answerSide('left'),
      nextName: tableWords.theClientsRight,
      backName: tableWords.theClientsLeft,
    };
  const nextName = state.status === 'ready' ? 'begin' : tableWords.nextStep;
  return { onNext: () => goOn('end'), onBack: goBack, nextName, backName: 'back' };
}
