import { useRef, useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BottleView, ShelfImportView, StockView } from '../../contracts/oil-views';
import { carrierOf, oilOf } from '../../core/oils/book';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { send, sentenceOf } from '../api';
import { BenchNav } from '../bench/BenchNav';
import { useLetters } from '../letters';
import { BottleForm } from './BottleForm';
import { BottleShape } from './BottleShape';
import styles from './Bottles.module.css';

const keys = [
  [['N'], 'a bottle for the shelf'],
  [['F'], 'only what needs a look'],
] as const;

const nameOf = ({ kind, oil }: Pick<BottleView, 'kind' | 'oil'>) =>
  kind === 'essential' ? oilOf(oilBook, oil).name : carrierOf(oilBook, oil).name;

/** Every bottle of the house: how old, how full, what to use first, what to throw away, what to order. */
export function Bottles({ first }: { readonly first: StockView }) {
  const [stock, setStock] = useState(first);
  const [form, setForm] = useState<BottleView | 'new'>();
  const [isFiltered, setIsFiltered] = useState(false);
  const [said, setSaid] = useState('');
  const [found, setFound] = useState<{ readonly csv: string; readonly view: ShelfImportView }>();
  const file = useRef<HTMLInputElement>(null);
  const reload = async () => {
    try {
      setStock(await send('GET /api/oils/bottles'));
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  useLetters({ n: () => setForm('new'), f: () => setIsFiltered((now) => !now) });
  const look = async (csv: string, isSure: boolean) => {
    try {
      const view = await send('POST /api/oils/import', { body: { csv, isSure } });
      setFound(view.added > 0 ? undefined : { csv, view });
      if (view.added > 0) {
        setSaid(`${view.added} bottles are on the shelf.`);
        await reload();
      }
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const throwAway = async (bottle: BottleView) => {
    try {
      await send('PUT /api/oils/bottles/{key}', {
        params: { key: bottle.id },
        body: { ...plain(bottle), state: 'discarded' },
      });
      setSaid(`${nameOf(bottle)}, lot ${bottle.lot || 'without a number'}: thrown away.`);
      await reload();
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const needsLook = ({ freshness }: BottleView) => freshness === 'old' || freshness === 'turning';
  const shown = stock.bottles
    .filter((bottle) => !isFiltered || needsLook(bottle))
    .toSorted(
      (a, b) =>
        rank(a) - rank(b) || a.kind.localeCompare(b.kind) * -1 || nameOf(a).localeCompare(nameOf(b)) || a.id - b.id,
    );
  const worth = stock.bottles.reduce((sum, one) => sum + (one.leftMl * one.costCents) / one.sizeMl, 0);
  return (
    <>
      <div className={styles['head']}>
        <h1>Bottles</h1>
        <p>
          {stock.bottles.length} on the shelf, worth {(worth / 100).toFixed(0)} as bought
        </p>
        <div>
          <BenchNav here="bottles" visitId={null} />
          <Shortcuts list={keys} />
        </div>
      </div>
      <div className={styles['view']}>
        <main id="main" className={styles['main']}>
          {stock.bottles.length === 0 ? (
            <p className={styles['soft']}>No bottles yet. Add the first with N, or read a list of them.</p>
          ) : (
            <table className={styles['table']}>
              <thead>
                <tr>
                  <th scope="col">Oil</th>
                  <th scope="col">Lot</th>
                  <th scope="col">Opened</th>
                  <th scope="col">Best before</th>
                  <th scope="col">Left</th>
                  <th scope="col">A drop costs</th>
                  <th scope="col">Look</th>
                </tr>
              </thead>
              <tbody>
                {shown.map((bottle) => (
                  <tr key={bottle.id} data-freshness={bottle.freshness}>
                    <th scope="row">
                      <BottleShape
                        note={bottle.kind === 'essential' ? oilOf(oilBook, bottle.oil).note : 'middle'}
                        share={bottle.leftMl / bottle.sizeMl}
                      />
                      <button type="button" onClick={() => setForm(bottle)}>
                        {nameOf(bottle)}
                      </button>
                    </th>
                    <td>{bottle.lot}</td>
                    <td>{bottle.openedOn ? short(bottle.openedOn) : 'closed'}</td>
                    <td>{bottle.bestBefore ? short(bottle.bestBefore) : '–'}</td>
                    <td>
                      {leftWords(bottle)}
                      <small>of {bottle.sizeMl} mL</small>
                    </td>
                    <td>{costWords(bottle)}</td>
                    <td>
                      {bottle.freshness === 'old' ? (
                        <Button look="mend" onClick={() => void throwAway(bottle)}>
                          Throw away
                        </Button>
                      ) : (
                        bottle.words
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </main>
        <aside className={styles['right']} aria-label="To order, and what is mixed" tabIndex={0}>
          <h2>To order</h2>
          {stock.reorder.length === 0 ? (
            <p className={styles['soft']}>Nothing for the next four weeks.</p>
          ) : (
            <ul>
              {stock.reorder.map((line) => (
                <li key={line.kind + line.oil}>
                  <strong>{nameOf(line)}</strong>
                  <span>{line.why.replace(/\d{4}-\d{2}-\d{2}/, short)}</span>
                </li>
              ))}
            </ul>
          )}
          <h2>Mixed for the house</h2>
          {stock.mixes.length === 0 ? (
            <p className={styles['soft']}>No bottle is mixed. One comes from the blend bench without a client.</p>
          ) : (
            <ul>
              {stock.mixes.map(({ id, name, leftMl, useBy }) => (
                <li key={id}>
                  <a href={`/bench/mixes/${id}`}>{name}</a>
                  <span>
                    {Math.round(leftMl)} mL, use by {short(useBy)}
                  </span>
                </li>
              ))}
            </ul>
          )}
          <h2>Keep it so</h2>
          <p className={styles['soft']}>
            Dark glass, full, cool, locked from children. Citrus, pine, fir and tea tree age fastest, and aged oil
            sensitises skin.
          </p>
        </aside>
      </div>
      {found && (
        <div className={styles['found']} role="status">
          {found.view.troubles.length > 0 ? (
            <>
              <p>
                <strong>Nothing was added:</strong> {found.view.troubles.length} things to mend in the file.
              </p>
              <ul>
                {found.view.troubles.slice(0, 6).map(({ row, message }) => (
                  <li key={`${row} ${message}`}>
                    Row {row}: {message}
                  </li>
                ))}
              </ul>
              <Button onClick={() => setFound(undefined)}>Leave it</Button>
            </>
          ) : (
            <>
              <p>
                <strong>{found.view.bottles} bottles</strong> can be read. Add them to the shelf?
              </p>
              <Button onClick={() => setFound(undefined)}>Leave it</Button>
              <Button look="filled" onClick={() => void look(found.csv, true)}>
                Add them
              </Button>
            </>
          )}
        </div>
      )}
      <footer className={styles['foot']}>
        <Button onClick={() => setForm('new')}>
          <Kbd>N</Kbd> a bottle
        </Button>
        <Button aria-pressed={isFiltered} onClick={() => setIsFiltered((now) => !now)}>
          <Kbd>F</Kbd> {isFiltered ? 'all of them' : 'only what needs a look'}
        </Button>
        <em role="status">{said}</em>
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          aria-label="A list of bottles"
          className="visually-hidden"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) void chosen.text().then((csv) => look(csv, false));
            event.target.value = '';
          }}
        />
        <Button onClick={() => file.current?.click()}>Read a list …</Button>
        <ButtonLink href="/api/oils/shelf.csv">Write the list</ButtonLink>
      </footer>
      {form && (
        <BottleForm
          bottle={form === 'new' ? undefined : form}
          onClose={() => setForm(undefined)}
          onSaved={() => {
            setForm(undefined);
            void reload();
          }}
        />
      )}
    </>
  );
}

const rank = ({ freshness }: BottleView) => ({ old: 0, turning: 1, fresh: 2, closed: 2 })[freshness];
const short = (day: string) =>
  new Date(day).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

function leftWords(bottle: BottleView): string {
  if (bottle.kind === 'carrier') return `${Math.round(bottle.leftMl)} mL`;
  const perMl = bottle.dropsPerMl ?? oilOf(oilBook, bottle.oil).dropsPerMl;
  return `${Math.floor(bottle.leftMl * perMl + 1e-6)} drops`;
}

function costWords(bottle: BottleView): string {
  if (bottle.costCents === 0) return '–';
  if (bottle.kind === 'carrier') return `${(bottle.costCents / bottle.sizeMl / 100).toFixed(2)} a mL`;
  const perMl = bottle.dropsPerMl ?? oilOf(oilBook, bottle.oil).dropsPerMl;
  return (bottle.costCents / bottle.sizeMl / perMl / 100).toFixed(3);
}

/** What is stored of a bottle, without what follows from it. */
const plain = ({ kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note }: BottleView) => ({
  ...{ kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note },
});
