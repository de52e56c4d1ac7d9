import { type CurrencyId, moneyText } from '../../core/money';
import { oilsWords } from './oils.words';
import { useRef, useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BottleView, ShelfImportView, StockView } from '../../contracts/oil-views';
import { carrierOf, oilOf } from '../../core/oils/book';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { send, sentenceOf } from '../api';
import { BenchNav } from '../bench/BenchNav';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { BottleForm } from './BottleForm';
import { BottleShape } from './BottleShape';
import styles from './Bottles.module.css';
import { unpacked } from '../../ui/frame/packed';

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
  useShortcuts([
    { keys: ['N'], words: oilsWords.aBottleForTheShelf2, act: () => setForm('new') },
    { keys: ['F'], words: oilsWords.onlyWhatNeedsALook, act: () => setIsFiltered((now) => !now) },
  ]);
  const look = async (csv: string, isSure: boolean) => {
    try {
      const view = await send('POST /api/oils/import', { body: { csv, isSure } });
      setFound(view.added > 0 ? undefined : { csv, view });
      if (view.added > 0) {
        setSaid(oilsWords.bottlesAreOnTheShelf(view.added));
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
      setSaid(oilsWords.lotThrownAway(nameOf(bottle), bottle.lot || oilsWords.withoutANumber));
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
  const isAllKnown = found !== undefined && found.view.known === found.view.bottles;
  return (
    <>
      <div className={styles['head']}>
        <h1>{oilsWords.bottles}</h1>
        <p>{oilsWords.onTheShelfWorthAsBought(stock.bottles.length, moneyText(worth, stock.currency, 0))}</p>
        <div>
          <BenchNav here="bottles" visitId={null} />
          <Shortcuts />
        </div>
      </div>
      <div className={styles['view']}>
        <main id="main" className={styles['main']}>
          {stock.bottles.length === 0 ? (
            <p className={styles['soft']}>{oilsWords.noBottlesYetAddTheFirst}</p>
          ) : (
            <table className={styles['table']}>
              <thead>
                <tr>
                  <th scope="col">{oilsWords.oil}</th>
                  <th scope="col">{oilsWords.lot}</th>
                  <th scope="col">{oilsWords.opened}</th>
                  <th scope="col">{oilsWords.bestBefore}</th>
                  <th scope="col">{oilsWords.left}</th>
                  <th scope="col">{oilsWords.aDropCosts}</th>
                  <th scope="col">{oilsWords.look}</th>
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
                    <td>{bottle.openedOn ? short(bottle.openedOn) : oilsWords.closed}</td>
                    <td>{bottle.bestBefore ? short(bottle.bestBefore) : '–'}</td>
                    <td>
                      {leftWords(bottle)}
                      <small>{oilsWords.ofMl(bottle.sizeMl)}</small>
                    </td>
                    <td>{costWords(bottle, stock.currency)}</td>
                    <td>
                      {bottle.freshness === 'old' ? (
                        <Button look="mend" onClick={() => void throwAway(bottle)}>
                          {oilsWords.throwAway}
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
        <aside className={styles['right']} aria-label={oilsWords.toOrderAndWhatIsMixed} tabIndex={0}>
          <h2>{oilsWords.toOrder}</h2>
          {stock.reorder.length === 0 ? (
            <p className={styles['soft']}>{oilsWords.nothingForTheNextFourWeeks}</p>
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
          <h2>{oilsWords.mixedForTheHouse}</h2>
          {stock.mixes.length === 0 ? (
            <p className={styles['soft']}>{oilsWords.noBottleIsMixedOneComes}</p>
          ) : (
            <ul>
              {stock.mixes.map(({ id, name, leftMl, useBy }) => (
                <li key={id}>
                  <a href={`/bench/mixes/${id}`}>{name}</a>
                  <span>{oilsWords.mlUseBy(Math.round(leftMl), short(useBy))}</span>
                </li>
              ))}
            </ul>
          )}
          <h2>{oilsWords.keepItSo}</h2>
          <p className={styles['soft']}>{oilsWords.darkGlassFullCoolLockedFrom}</p>
        </aside>
      </div>
      {found && (
        <div className={styles['found']} role="status">
          {found.view.troubles.length > 0 ? (
            <>
              <p>
                <strong>{oilsWords.nothingWasAdded}</strong>{' '}
                {oilsWords.thingsToMendInTheFile(found.view.troubles.length)}
              </p>
              <ul>
                {found.view.troubles.slice(0, 6).map(({ row, message }) => (
                  <li key={`${row} ${message}`}>{oilsWords.row(row, message)}</li>
                ))}
              </ul>
              <Button onClick={() => setFound(undefined)}>{oilsWords.leaveIt}</Button>
            </>
          ) : (
            <>
              <p>
                <strong>{oilsWords.bottles2(found.view.bottles)}</strong> {foundWords(found.view)}
              </p>
              <Button onClick={() => setFound(undefined)}>{oilsWords.leaveIt}</Button>
              {!isAllKnown && (
                <Button look="filled" onClick={() => void look(found.csv, true)}>
                  {oilsWords.addThem}
                </Button>
              )}
            </>
          )}
        </div>
      )}
      <footer className={styles['foot']}>
        <Button onClick={() => setForm('new')}>
          <Kbd>N</Kbd> {oilsWords.aBottle}
        </Button>
        <Button aria-pressed={isFiltered} onClick={() => setIsFiltered((now) => !now)}>
          <Kbd>F</Kbd> {isFiltered ? oilsWords.allOfThem : oilsWords.onlyWhatNeedsALook}
        </Button>
        <em role="status">{said}</em>
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          aria-label={oilsWords.aListOfBottles}
          className="visually-hidden"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) void chosen.text().then((csv) => look(csv, false));
            event.target.value = '';
          }}
        />
        <Button onClick={() => file.current?.click()}>{oilsWords.readAList}</Button>
        <ButtonLink href="/api/oils/shelf.csv">{oilsWords.writeTheList}</ButtonLink>
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
  return oilsWords.drops2(Math.floor(bottle.leftMl * perMl + 1e-6));
}

function costWords(bottle: BottleView, currency: CurrencyId): string {
  if (bottle.costCents === 0) return '–';
  if (bottle.kind === 'carrier') return oilsWords.aMl(moneyText(bottle.costCents / bottle.sizeMl, currency));
  const perMl = bottle.dropsPerMl ?? oilOf(oilBook, bottle.oil).dropsPerMl;
  return moneyText(bottle.costCents / bottle.sizeMl / perMl, currency, 3);
}

/** What is stored of a bottle, without what follows from it. */
const plain = ({ kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note }: BottleView) => ({
  ...{ kind, oil, lot, openedOn, printedOn, sizeMl, leftMl, costCents, dropsPerMl, note },
});

/** As the page shows it. */
export const BottlesIsland = unpacked(Bottles);

const foundWords = ({ bottles, known }: ShelfImportView): string =>
  bottles === 0
    ? oilsWords.stand
    : bottles === known
      ? bottles === 1
        ? oilsWords.itIsOnTheShelf
        : oilsWords.allOfThemAreOnTheShelf
      : oilsWords.canBeReadAddThemTo(bottles - known, known);
