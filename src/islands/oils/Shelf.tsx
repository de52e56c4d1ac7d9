import { oilsWords } from './oils.words';
import type { OilId } from '../../core/ids';
import { useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { ShelfEntry } from '../../contracts/oil-views';
import { oilOf } from '../../core/oils/book';
import { reasonsToAvoid } from '../../core/oils/client';
import { isMentioned } from '../../core/oils/shortlist';
import { noteWords } from '../../core/oils/words';
import { BottleShape } from './BottleShape';
import shared from './Oils.module.css';
import styles from './Shelf.module.css';
import { useBench } from './bench-context';

interface Props {
  readonly searchRef: React.RefObject<HTMLInputElement | null>;
}

/** The oils of the house, those of the blend first; a press lets a drop fall. */
export function Shelf({ searchRef }: Props) {
  const { view, blend, client, change, mayCompose } = useBench();
  const [wanted, setWanted] = useState('');
  const isIn = (oil: OilId) => blend.parts.some((part) => part.oil === oil);
  const rows = view.shelf
    .map((entry) => ({ entry, oil: oilOf(oilBook, entry.oil), ...statusOf(entry) }))
    .filter(({ oil }) => wanted === '' || matches(oil, wanted))
    .sort(
      (a, b) =>
        Number(isIn(b.oil.id)) - Number(isIn(a.oil.id)) ||
        Number(a.isShut) - Number(b.isShut) ||
        a.oil.name.localeCompare(b.oil.name),
    );
  return (
    <>
      <div className={shared['line']}>
        <h2>{oilsWords.shelf}</h2>
        <span>
          {view.shelf.length} {oilsWords.oils} <a href="/bench/bottles">{oilsWords.bottles3}</a>
        </span>
      </div>
      <input
        ref={searchRef}
        className={styles['search']}
        type="search"
        placeholder={oilsWords.anOilAScentWhatIt}
        aria-label={oilsWords.lookForAnOil}
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
        onKeyDown={(event) => {
          const [first] = rows;
          if (event.key === 'Escape') event.currentTarget.blur();
          if (event.key !== 'Enter' || !first || first.isShut || !mayCompose) return;
          event.preventDefault();
          change({ kind: 'drops', oil: first.oil.id, by: 1, dropsPerMl: first.entry.dropsPerMl ?? undefined });
          setWanted('');
          event.currentTarget.blur();
        }}
      />
      {rows.length === 0 && (
        <p className={shared['soft']}>
          {view.shelf.length === 0 ? (
            <>
              {oilsWords.noBottlesYet} <a href="/bench/bottles">{oilsWords.putTheHousesOwnOnThe}</a>
            </>
          ) : (
            oilsWords.nothingOnTheShelfAnswersTo
          )}
        </p>
      )}
      <ul className={styles['shelf']}>
        {rows.map(({ entry, oil, words, isShut }) => (
          <li key={oil.id} data-in={isIn(oil.id) || undefined} data-shut={isShut || undefined}>
            <button
              type="button"
              disabled={isShut || !mayCompose}
              onClick={() => change({ kind: 'drops', oil: oil.id, by: 1, dropsPerMl: entry.dropsPerMl ?? undefined })}
              title={oilsWords.aDropMoreOf(oil.name.toLowerCase())}
            >
              <BottleShape note={oil.note} share={entry.leftShare} />
              <span>
                <strong>{oil.name}</strong>
                <em>{oil.latin}</em>
              </span>
              <small data-bad={isShut || undefined}>{words || noteWords[oil.note]}</small>
            </button>
          </li>
        ))}
      </ul>
    </>
  );

  function statusOf(entry: ShelfEntry): { readonly words: string; readonly isShut: boolean } {
    const oil = oilOf(oilBook, entry.oil);
    if (entry.freshness === 'old') return { words: entry.words.split(':')[0] ?? oilsWords.discard, isShut: true };
    if (reasonsToAvoid(oil, client, blend.area, oilBook).length > 0)
      return { words: view.client ? oilsWords.notForThisClient : oilsWords.notHere, isShut: true };
    if (isMentioned(view.client?.dislikes ?? '', oil.name, '')) return { words: oilsWords.disliked, isShut: false };
    if (isMentioned(view.client?.likes ?? '', oil.name, '')) return { words: oilsWords.liked, isShut: false };
    return { words: entry.words, isShut: false };
  }
}

const matches = (oil: ReturnType<typeof oilOf>, wanted: string): boolean => {
  const text = [oil.name, oil.latin, oil.odourFamily, oil.note, ...oil.uses].join(' ').toLowerCase();
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};
