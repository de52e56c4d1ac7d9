import { useEffect, useState } from 'react';
import type { ProposalView } from '../../contracts/client-views';
import { send } from '../api';

interface Wish {
  readonly isOpen: boolean;
  readonly minutes: string;
  readonly therapist: string;
  readonly from: string;
  readonly withStones: boolean;
  readonly visit: number | undefined;
}

/** Free times for what is wished, asked for anew whenever the wish changes. */
export function useProposals({ isOpen, minutes, therapist, from, withStones, visit }: Wish): readonly ProposalView[] {
  const [proposals, setProposals] = useState<readonly ProposalView[]>([]);
  useEffect(() => {
    if (!isOpen) return;
    const abort = new AbortController();
    const query = { minutes, therapist, from, stones: withStones, visit };
    send('GET /api/bookings/proposals', { query, signal: abort.signal })
      .then(setProposals)
      // Half-typed minutes or dates have no free times yet.
      .catch(() => !abort.signal.aborted && setProposals([]));
    return () => abort.abort();
  }, [isOpen, minutes, therapist, from, withStones, visit]);
  return proposals;
}
