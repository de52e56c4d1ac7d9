import type { ReactNode } from 'react';
import { formatNumber, formatSigned } from '../../core/units';
import styles from './Together.module.css';
import { togetherWords } from './together.words';

interface TableProps {
  readonly label: string;
  /** Head of the column between what changed and by how much. */
  readonly middle: string;
  readonly children: ReactNode;
}

/** Work beside what changed, the surest first. */
export function TogetherTable({ label, middle, children }: TableProps) {
  return (
    <div className={styles['scroll']} role="group" aria-label={label} tabIndex={0}>
      <table className={styles['table']}>
        <thead>
          <tr>
            <th scope="col">{togetherWords.work}</th>
            <th scope="col">{togetherWords.changed}</th>
            <th scope="col">{middle}</th>
            <th scope="col">{togetherWords.withMore}</th>
            <th scope="col">{togetherWords.interval}</th>
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

interface Row {
  readonly unit: string;
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  readonly isApart: boolean;
}

/** How much better it went with more of the work, in words, and how sure that is: two cells of a row. */
export function Difference({ row }: { readonly row: Row }) {
  const { unit, difference, low, high, isApart } = row;
  const decimals = unit === 'mL' || unit === '%' ? 0 : 1;
  const by = `${formatNumber(Math.abs(difference), decimals)} ${togetherWords.unit(unit)}`;
  return (
    <>
      <td>
        {difference < 0 ? togetherWords.worse(by) : togetherWords.better(by)}{' '}
        <small>{isApart ? togetherWords.wentTogether : togetherWords.noDifference}</small>
      </td>
      <td>
        {togetherWords.fromTo(formatSigned(low, decimals), formatSigned(high, decimals), togetherWords.unit(unit))}
      </td>
    </>
  );
}
