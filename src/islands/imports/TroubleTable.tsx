import type { ImportTrouble } from '../../contracts/imports';
import { formatNumber } from '../../core/units';
import { importsWords } from './imports.words';
import styles from './imports.module.css';

interface Props {
  /** The first of them. */
  readonly troubles: readonly ImportTrouble[];
  readonly count: number;
}

/** What is wrong with a file, row by row. */
export function TroubleTable({ troubles, count }: Props) {
  return (
    <div className={styles['scroll']} tabIndex={0} role="group" aria-label={importsWords.rowsInTrouble2}>
      <table>
        <caption>{importsWords.rowsInTrouble2}</caption>
        <thead>
          <tr>
            <th scope="col">{importsWords.row}</th>
            <th scope="col">{importsWords.column}</th>
            <th scope="col">{importsWords.whatIsWrong}</th>
          </tr>
        </thead>
        <tbody>
          {troubles.map((trouble) => (
            <tr key={`${trouble.row} ${trouble.column}`}>
              <td>{trouble.row}</td>
              <td>{trouble.column}</td>
              <td>{trouble.message}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {count > troubles.length && (
        <p className={styles['soft']}>{importsWords.andMore(formatNumber(count - troubles.length))}</p>
      )}
    </div>
  );
}
