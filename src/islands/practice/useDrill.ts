import { useCallback, useEffect, useRef, useState } from 'react';
import type { ChosenDrill, PracticeMarked } from '../../contracts/practice';
import { send, sentenceOf } from '../api';

interface State {
  readonly of: string;
  readonly question?: unknown;
  readonly marked?: PracticeMarked;
  readonly trouble?: string;
  readonly isSending?: boolean;
}

const keyOf = ({ kind, level, seed, course }: ChosenDrill) =>
  course === null ? `${kind}-${level}-${seed}` : `${kind}-${level}-course-${course}`;

const ask = ({ kind, level, seed, course }: ChosenDrill) =>
  course === null
    ? send('POST /api/compute/drill', { body: { kind, level, seed } })
    : send('GET /api/practice/courses/{id}', {
        params: { id: course },
        query: { kind: kind === 'route' ? kind : 'order', level },
      });

/** A case and its judgement, from the house's own engine; the answer is kept as one's own. */
export function useDrill(wish: ChosenDrill | undefined, onMarked: (marked: PracticeMarked, of: string) => void) {
  const [state, setState] = useState<State>({ of: '' });
  const [turn, setTurn] = useState(0);
  const begun = useRef(0);
  const wished = wish && JSON.stringify(wish);
  const of = wish ? keyOf(wish) : '';
  useEffect(() => {
    if (wished === undefined) return;
    let isHere = true;
    ask(JSON.parse(wished) as ChosenDrill).then(
      ({ question }) => {
        if (!isHere) return;
        begun.current = performance.now();
        setState({ of, question });
      },
      (error: unknown) => isHere && setState({ of, trouble: sentenceOf(error) }),
    );
    return () => {
      isHere = false;
    };
  }, [of, turn, wished]);
  const answer = useCallback(
    async (given: unknown) => {
      if (wished === undefined) return;
      const seconds = Math.min(3600, (performance.now() - begun.current) / 1000);
      const put = (change: Partial<State>) => setState((now) => (now.of === of ? { ...now, ...change } : now));
      put({ isSending: true });
      try {
        const body = {
          ...(JSON.parse(wished) as ChosenDrill),
          answer: given as Record<string, unknown> | null,
          seconds,
        };
        const marked = await send('POST /api/practice/answers', { body });
        setState(({ trouble: _gone, ...now }) => (now.of === of ? { ...now, marked, isSending: false } : now));
        onMarked(marked, of);
      } catch (error) {
        put({ trouble: sentenceOf(error), isSending: false });
      }
    },
    [of, onMarked, wished],
  );
  const again = useCallback(() => {
    setState({ of: '' });
    setTurn((now) => now + 1);
  }, []);
  return { of, state: state.of === of ? state : undefined, turn, answer, again };
}
