import { libraryWords } from './library.words';
import type { Difference } from '../../contracts/library-views';
import styles from './Differences.module.css';

/** What the house has changed, beside what ships. */
export function Differences({ list }: { readonly list: readonly Difference[] }) {
  if (list.length === 0) return null;
  return (
    <table className={styles['differences']}>
      <caption>{libraryWords.changedHere}</caption>
      <thead>
        <tr>
          <th scope="col">{libraryWords.what}</th>
          <th scope="col">{libraryWords.shipsAs}</th>
          <th scope="col">{libraryWords.ours}</th>
        </tr>
      </thead>
      <tbody>
        {list.map(({ field, shipped, own }) => (
          <tr key={field}>
            <th scope="row">{field.replaceAll('.', ' ')}</th>
            <td>{shipped}</td>
            <td>{own}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
