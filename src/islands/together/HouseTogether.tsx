import { useEffect, useRef, useState } from 'react';
import type { TogetherView } from '../../contracts/earned-views';
import { capitalise } from '../../core/wording/capitalise';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { chanceText } from './Earned';
import styles from './Together.module.css';
import { Difference, TogetherTable } from './TogetherTable';
import { togetherWords } from './together.words';

type Answer = { readonly view: TogetherView } | { readonly trouble: string } | 'stopped';

/** The same over the house: looked through when it is opened, which takes a moment and can be stopped. */
export function HouseTogether() {
  const [turn, setTurn] = useState(0);
  const [answered, setAnswered] = useState<{ readonly turn: number; readonly answer: Answer }>();
  const answer = answered?.turn === turn ? answered.answer : undefined;
  const waiting = useRef<AbortController>(undefined);
  useEffect(() => {
    const abort = new AbortController();
    waiting.current = abort;
    send('GET /api/house/together', { signal: abort.signal })
      .then((view) => setAnswered({ turn, answer: { view } }))
      .catch((error: unknown) =>
        setAnswered({ turn, answer: abort.signal.aborted ? 'stopped' : { trouble: sentenceOf(error) } }),
      );
    return () => abort.abort();
  }, [turn]);
  const again = (
    <Button look="link" onClick={() => setTurn(turn + 1)}>
      {togetherWords.lookAgain}
    </Button>
  );
  return (
    <section className={styles['together']} aria-label={togetherWords.inThisHouse}>
      <h2>{togetherWords.inThisHouse}</h2>
      <p>
        {togetherWords.eachClientOnce} {togetherWords.neverACause}
      </p>
      {answer === undefined && (
        <p role="status">
          {togetherWords.lookingThrough}{' '}
          <Button look="link" onClick={() => waiting.current?.abort()}>
            {togetherWords.stop}
          </Button>
        </p>
      )}
      {answer === 'stopped' && <p>{again}</p>}
      {typeof answer === 'object' && 'trouble' in answer && (
        <p role="alert">
          {answer.trouble} {again}
        </p>
      )}
      {typeof answer === 'object' && 'view' in answer && <Found view={answer.view} />}
    </section>
  );
}

function Found({ view }: { readonly view: TogetherView }) {
  const { clients, leastClients, leastVisits, looked, rows } = view;
  if (clients < leastClients) return <p>{togetherWords.moreClientsFirst(leastClients, leastVisits, clients)}</p>;
  if (rows.length === 0) return <p>{togetherWords.nothingDiffered}</p>;
  return (
    <>
      <p>{chanceText(looked)}</p>
      <TogetherTable label={togetherWords.inThisHouse} middle={togetherWords.clients}>
        {rows.map((row) => (
          <tr key={`${row.work} ${row.figure}`} data-apart={row.isApart || undefined}>
            <th scope="row">{row.work}</th>
            <td>{capitalise(row.figure)}</td>
            <td>{row.clients}</td>
            <Difference row={row} />
          </tr>
        ))}
      </TogetherTable>
    </>
  );
}
