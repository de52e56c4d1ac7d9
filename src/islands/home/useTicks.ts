import { useState } from 'react';
import type { HomePage } from '../../contracts/home-views';
import type { Answer } from '../../contracts/routes/asking';
import { sending } from '../saving/sending';
import { useSaving } from '../saving/use-saving';

const twoDigits = (n: number) => String(n).padStart(2, '0');
/** The day where the phone is. */
const dayHere = (now: Date) => `${now.getFullYear()}-${twoDigits(now.getMonth() + 1)}-${twoDigits(now.getDate())}`;

/** Ticks of a sheet: kept on the phone until the house has them. */
export function useTicks(token: string, first: HomePage) {
  const [page, setPage] = useState(first);
  const { queue, status } = useSaving<unknown, Answer<'POST /api/home-page/{token}/ticks'>>('home ticks', {
    onSaved: (_, answer) => setPage(answer.page),
  });
  const tick = () => {
    for (const { draft } of status.refused) queue.discard(draft.id);
    const body = { id: crypto.randomUUID(), day: dayHere(new Date()) };
    queue.addOneMore('tick', sending('POST /api/home-page/{token}/ticks', { token }, body));
  };
  return { page, tick, isWaiting: status.open > 0, isRefused: status.refused.length > 0 };
}
