import type { TreatmentView } from '../../contracts/treatment-views';
import { shareUsed } from '../../core/oils/skin-balance';
import { treatmentWords } from './treatment.words';
import shared from './Treatment.module.css';
import styles from './TreatmentSide.module.css';

/** Limits that are hardly touched are not worth a line. */
const leastShown = 0.1;
const mostLines = 6;

/** One balance of the skin that drops fall onto: each limit with how full it is, and what fell in the days before. */
export function SkinLedger({ layers }: { readonly layers: NonNullable<TreatmentView['layers']> }) {
  const planned: Record<string, number> = {};
  for (const { oil, drops } of layers.layers) if (oil !== null) planned[oil] = (planned[oil] ?? 0) + drops;
  const lines = layers.balance.lines
    .map((line) => ({ of: line.of, share: shareUsed(line, planned) }))
    .filter(({ share }) => share >= leastShown)
    .toSorted((a, b) => b.share - a.share)
    .slice(0, mostLines);
  return (
    <section>
      <h2>{treatmentWords.onThisSkin}</h2>
      <p className={shared['soft']}>{treatmentWords.stripOf(layers.areaCm2)}</p>
      <table className={styles['regions']}>
        <tbody>
          {lines.map(({ of, share }) => (
            <tr key={of}>
              <th scope="row">{of}</th>
              <td>{treatmentWords.ofItsLimit(Math.round(100 * share))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {layers.lately.length > 0 && (
        <>
          <p>{treatmentWords.sevenDaysBefore}</p>
          <ul className={styles['plain']}>
            {layers.lately.map(({ date, words }) => (
              <li key={date}>{treatmentWords.lately(date, words)}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
