import { anatomy } from '../../catalogue/anatomy';
import type { PlanView } from '../../contracts/visit-views';
import { capitalise, formatCost, shortLabel } from '../../core/drainage/wording';
import styles from './WaysOut.module.css';

/** Where fluid is led, compared by how much of it and how far, and where it is not led. */
export function WaysOut({ exits, rejected }: Pick<PlanView['plan'], 'exits' | 'rejected'>) {
  return (
    <section>
      <h2>Ways out</h2>
      {exits.map((exit, i) => (
        <div key={exit.to} className={styles['exit']}>
          <div>
            <strong>{capitalise(shortLabel(anatomy, exit.to))}</strong>
            <strong className={styles['share']}>{Math.round(exit.share * 100)} %</strong>
          </div>
          <p>{exit.why.replace(/^Led /, '')}</p>
          <p>
            about {formatCost(exit.cost)} {exit.cost === 1 ? 'hand’s width' : 'hand’s widths'} of skin
          </p>
          <div className={styles['bar']} data-tone={i === 0 ? 'moss' : 'river'} aria-hidden="true">
            <i style={{ width: `${exit.share * 100}%` }} />
          </div>
        </div>
      ))}
      {rejected.map(({ to, why }) => (
        <div key={to} className={styles['rejected']}>
          <strong>Not {shortLabel(anatomy, to)}</strong>
          <p>{why}</p>
        </div>
      ))}
    </section>
  );
}
