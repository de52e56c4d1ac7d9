import { useEffect, useState } from 'react';
import type { ClientImportView, PastImport } from '../../contracts/client-imports';
import { Button } from '../../ui/button/Button';
import { send } from '../api';
import { clientImportsWords } from './client-imports.words';
import styles from '../imports/imports.module.css';

interface Props {
  readonly past: readonly PastImport[];
  /** What is under way; when it ends the list is another one. */
  readonly newest: ClientImportView | undefined;
  readonly isBusy: boolean;
  readonly onUndo: (key: number) => void;
}

/** The last imports, each of which can be taken back. */
export function EarlierImports({ past, newest, isBusy, onUndo }: Props) {
  const [list, setList] = useState(past);
  const ended = newest?.state === 'done' || newest?.state === 'undone' ? newest.id + newest.state : undefined;
  useEffect(() => {
    if (ended === undefined) return;
    // The list is for looking back: where it cannot be asked for, it stands as it was.
    send('GET /api/client-imports').then(setList, () => undefined);
  }, [ended]);
  if (list.length === 0) return null;
  return (
    <section className={styles['step']} aria-label={clientImportsWords.earlierImports}>
      <h2>{clientImportsWords.earlierImports}</h2>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label={clientImportsWords.earlierImports}>
        <table>
          <thead>
            <tr>
              <th scope="col">{clientImportsWords.date}</th>
              <th scope="col">{clientImportsWords.by}</th>
              <th scope="col">{clientImportsWords.file}</th>
              <th scope="col">{clientImportsWords.outcome}</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {list.map((one) => (
              <tr key={one.key}>
                <td>{one.date}</td>
                <td>{one.by}</td>
                <th scope="row">{one.file}</th>
                <td>
                  {clientImportsWords.added(one.added)}
                  {one.completed > 0 && clientImportsWords.completedToo(one.completed)}
                </td>
                <td>
                  {one.isUndone ? (
                    <span className={styles['soft']}>{clientImportsWords.takenBack}</span>
                  ) : (
                    <Button
                      disabled={isBusy}
                      aria-label={clientImportsWords.takeBackOf(one.file, one.date)}
                      onClick={() => onUndo(one.key)}
                    >
                      {clientImportsWords.takeItBack}
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
