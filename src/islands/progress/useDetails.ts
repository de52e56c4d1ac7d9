import { useEffect, useState } from 'react';
import type { ProgressDetails } from '../../contracts/progress-views';
import type { ClientId } from '../../core/ids';
import { send, sentenceOf } from '../api';

export type Asked =
  { readonly details: ProgressDetails } | { readonly trouble: string; readonly again: () => void } | undefined;

/** What stands beneath the courses, asked for once the page stands; undefined while it is on its way. */
export function useDetails(clientId: ClientId): Asked {
  const [turn, setTurn] = useState(0);
  const [answered, setAnswered] = useState<Asked>();
  useEffect(() => {
    const abort = new AbortController();
    const again = () => {
      setAnswered(undefined);
      setTurn((last) => last + 1);
    };
    send('GET /api/clients/{id}/progress', { params: { id: clientId }, signal: abort.signal })
      .then((details) => setAnswered({ details }))
      .catch((error: unknown) => {
        if (!abort.signal.aborted) setAnswered({ trouble: sentenceOf(error), again });
      });
    return () => abort.abort();
  }, [clientId, turn]);
  return answered;
}
