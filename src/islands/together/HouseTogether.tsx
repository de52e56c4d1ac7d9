import type { TogetherView } from '../../contracts/earned-views';
import { capitalise } from '../../core/wording/capitalise';
import { Button } from '../../ui/button/Button';
import { send } from '../api';
import { useAsked } from '../asked';
import { chanceText } from './Earned';
import styles from './Together.module.css';
import { Difference, TogetherTable } from './TogetherTable';
import { togetherWords } from './together.words';

const askHouse = (signal: AbortSignal) => send('GET /api/house/together', { signal });

/** The same over the house: looked through when it is opened, which takes a moment and can be stopped. */
export function HouseTogether() {
  const asked = useAsked(askHouse);
  const again = (
    <Button look="link" onClick={asked.again}>
      {togetherWords.lookAgain}
    </Button>
  );
  return (
    <section className={styles['together']} aria-label={togetherWords.inThisHouse}>
      <h2>{togetherWords.inThisHouse}</h2>
      <p>
        {togetherWords.eachClientOnce} {togetherWords.neverACause}
      </p>
      {asked.state === 'waiting' && (
        <p role="status">
          {togetherWords.lookingThrough}{' '}
          <Button look="link" onClick={asked.stop}>
            {togetherWords.stop}
          </Button>
        </p>
      )}
      {asked.state === 'stopped' && <p>{again}</p>}
      {asked.state === 'failed' && (
        <p role="alert">
          {asked.trouble} {again}
        </p>
      )}
      {asked.answer && <Found view={asked.answer} />}
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
