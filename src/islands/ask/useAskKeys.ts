import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { askWords } from './ask.words';
import type { useAnswering } from './useAnswering';

/** The consultation by keyboard: answers, the rest of a group, marking on the body, handing over, and up and down. */
export function useAskKeys(
  { part, checking, current, answer, restOfCurrent, step }: ReturnType<typeof useAnswering>,
  { onMark, onHand }: { readonly onMark: () => void; readonly onHand: () => void },
): void {
  useShortcuts([
    {
      keys: ['Y'],
      words: askWords.yesToTheQuestionAtHand,
      act: current === undefined ? undefined : () => answer(current, 'yes'),
    },
    {
      keys: ['N'],
      words: askWords.noToTheQuestionAtHand,
      act: current === undefined ? undefined : () => answer(current, 'no'),
    },
    { keys: ['U'], words: askWords.notSure, act: current === undefined ? undefined : () => answer(current, 'unsure') },
    { keys: ['R'], words: askWords.noToTheRestOfThe, act: restOfCurrent },
    { keys: ['↑', '↓'], words: askWords.fromQuestionToQuestion },
    { keys: ['↑'], act: () => step(-1) },
    { keys: ['↓'], act: () => step(1) },
    {
      keys: ['L'],
      words: askWords.gatesOrOneByOne,
      act: part === 'check' ? () => checking.setOneByOne(!checking.isOneByOne) : undefined,
    },
    { keys: ['Z'], words: askWords.takeBackTheRest, act: part === 'check' ? checking.undoRest : undefined },
    { keys: ['M'], words: askWords.markTheFindingOnTheBody, act: onMark },
    { keys: ['H'], words: askWords.handTheTabletToTheClient, act: onHand },
  ]);
}
