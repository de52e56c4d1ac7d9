import { libraryWords } from './library.words';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { Origin } from '../../contracts/library-views';
import shared from './LibraryView.module.css';
import styles from './LibraryList.module.css';
import { originWords } from './words';

interface Props {
  readonly entries: readonly {
    readonly id: string;
    readonly name: string;
    readonly about: string;
    readonly origin: Origin;
    /** Why it was found; empty where its name says it. */
    readonly why: string;
  }[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** What was found; the arrow keys walk it. */
export function LibraryList({ entries, chosen, onChoose }: Props) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const next = entries[entries.findIndex(({ id }) => id === chosen) + by];
    if (by === 0 || !next) return;
    event.preventDefault();
    onChoose(next.id);
    list.current?.querySelector<HTMLElement>(`[data-entry="${next.id}"]`)?.focus();
  };
  if (entries.length === 0) return <p className={shared['soft']}>{libraryWords.nothingFitsTakeAWordOr}</p>;
  return (
    <ul ref={list} className={styles['list']} aria-label={libraryWords.found} onKeyDown={onKeyDown}>
      {entries.map(({ id, name, about, origin, why }) => (
        <li key={id} aria-current={id === chosen ? true : undefined}>
          <button type="button" data-entry={id} tabIndex={id === chosen ? 0 : -1} onClick={() => onChoose(id)}>
            <span>
              <strong>{name}</strong>
              {why && <small>{why}</small>}
            </span>
            <em>{[about, originWords[origin]].filter(Boolean).join(' · ')}</em>
          </button>
        </li>
      ))}
    </ul>
  );
}
