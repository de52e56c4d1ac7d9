import type { TabletWords } from '../../catalogue/client-words/words';
import type { VisitId } from '../../core/ids';
import { useSaving } from '../saving/use-saving';

/** Answers that a client gives by their own hand, kept on the tablet until the house has them. */
export function useAnswers(visitId: VisitId, words: Pick<TabletWords, 'keptHere' | 'notStored'>) {
  const { queue, status } = useSaving(`tablet ${visitId}`);
  const isLost = status.refused.length > 0 || status.conflict !== undefined;
  const trouble = isLost ? words.notStored : status.kind === 'waiting' ? words.keptHere : undefined;
  return { queue, trouble };
}
