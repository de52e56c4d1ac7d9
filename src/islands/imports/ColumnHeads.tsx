import { Select } from '../../ui/field/Field';
import styles from './imports.module.css';
import { importsWords } from './imports.words';

const shownRows = 6;

interface Props {
  /** The head first. */
  readonly rows: readonly (readonly string[])[];
  readonly roleAt: (index: number) => string;
  readonly onRole: (index: number, role: string) => void;
  /** What a column with that head may hold. */
  readonly optionsFor: (head: string) => readonly { readonly value: string; readonly text: string }[];
}

/** The first rows of a table; over each column, what it holds. */
export function ColumnHeads({ rows, roleAt, onRole, optionsFor }: Props) {
  const [head = []] = rows;
  return (
    <div className={styles['scroll']} tabIndex={0} role="group" aria-label={importsWords.firstRowsOfTheTable}>
      <table className={styles['heads']}>
        <thead>
          <tr>
            {head.map((text, index) => (
              <th key={index} scope="col">
                <Select
                  label={text || importsWords.column2(index + 1)}
                  value={roleAt(index)}
                  onChange={(event) => onRole(index, event.target.value)}
                >
                  <option value="">{importsWords.notUsed}</option>
                  {optionsFor(text).map((option) => (
                    <option key={option.value} value={option.value}>
                      {option.text}
                    </option>
                  ))}
                </Select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(1, 1 + shownRows).map((row, i) => (
            <tr key={i}>
              {head.map((_, index) => (
                <td key={index}>{row[index] ?? ''}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
