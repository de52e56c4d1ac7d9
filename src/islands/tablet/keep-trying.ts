import type { TabletWords } from '../../catalogue/client-words/words';
import { RequestError } from '../api';

const retryMs = 2000;

/** Sends answers until they are stored; when the tablet was taken back meanwhile, they belong to nobody any more. */
export async function keepTrying(
  post: () => Promise<unknown>,
  words: Pick<TabletWords, 'keptHere' | 'notStored'>,
  say: (trouble: string | undefined) => void,
): Promise<void> {
  for (;;) {
    try {
      await post();
      say(undefined);
      return;
    } catch (error) {
      const isUnreachable = error instanceof RequestError && (error.status === 0 || error.status >= 500);
      say(isUnreachable ? words.keptHere : words.notStored);
      if (!isUnreachable) return;
      await new Promise((resolve) => setTimeout(resolve, retryMs));
    }
  }
}
