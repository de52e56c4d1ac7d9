import { useEffect, useRef, useState } from 'react';
import type { FoundClient } from '../../contracts/client-views';
import { send, sentenceOf } from '../api';

/** Clients that match what is typed; an answer that comes late does not overwrite a newer one. */
export function useClientSearch(query: string, initial: readonly FoundClient[], initialQuery: string) {
  const [found, setFound] = useState(initial);
  const [trouble, setTrouble] = useState<string>();
  const asked = useRef(initialQuery);
  useEffect(() => {
    if (query === asked.current) return;
    const abort = new AbortController();
    send('GET /api/clients', { query: { q: query }, signal: abort.signal })
      .then((clients) => {
        asked.current = query;
        setFound(clients);
        setTrouble(undefined);
      })
      .catch((error: unknown) => !abort.signal.aborted && setTrouble(sentenceOf(error)));
    return () => abort.abort();
  }, [query]);
  return { found, trouble };
}
