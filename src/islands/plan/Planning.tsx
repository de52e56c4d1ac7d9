import type { VisitLookedBack } from '../../contracts/visit-views';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './NoPlan.module.css';
import { planWords } from './plan.words';

/** While a plan is made, or fetched. */
export function Planning({ visit }: { readonly visit: VisitLookedBack }) {
  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <main id="main" className={styles['main']} aria-busy>
        <h2 role="status">{planWords.planningTheVisit}</h2>
        <p>{planWords.fromWhatWasAskedWhatWas}</p>
      </main>
    </>
  );
}
