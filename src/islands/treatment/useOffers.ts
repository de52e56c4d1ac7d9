import type { ClientId } from '../../core/ids';
import { useCallback, useEffect, useState } from 'react';
import type { TreatmentOffers } from '../../contracts/treatment-views';
import { send, sentenceOf } from '../api';

export type Offers =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'trouble'; readonly text: string }
  | { readonly kind: 'here'; readonly offers: TreatmentOffers };

/** What may be chosen for a visit, asked for when it is needed. */
export function useOffers(clientId: ClientId, isWanted = true) {
  const [state, setState] = useState<Offers>({ kind: 'waiting' });
  const load = useCallback(
    (signal?: AbortSignal) =>
      send('GET /api/treatments', { query: { client: clientId }, signal })
        .then((offers) => setState({ kind: 'here', offers }))
        .catch((error: unknown) => {
          if (!signal?.aborted) setState({ kind: 'trouble', text: sentenceOf(error) });
        }),
    [clientId],
  );
  useEffect(() => {
    if (!isWanted) return;
    const abort = new AbortController();
    void load(abort.signal);
    return () => abort.abort();
  }, [isWanted, load]);
  return { state, reload: () => void load() };
}
