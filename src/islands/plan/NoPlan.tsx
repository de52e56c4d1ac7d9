import type { VisitView } from '../../contracts/visit-views';
import { ButtonLink } from '../../ui/button/Button';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './NoPlan.module.css';

/** In place of a plan: what has to come first. */
export function NoPlan({ visit, trouble }: { readonly visit: VisitView; readonly trouble: readonly string[] }) {
  const isStopped = visit.stage === 'stopped';
  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <main id="main" className={styles['main']}>
        <h2>
          {isStopped ? 'The check stopped this visit' : trouble.length > 0 ? 'This cannot be planned yet' : 'Ask first'}
        </h2>
        {trouble.length > 0 ? (
          trouble.map((text) => <p key={text}>{text}</p>)
        ) : (
          <p>
            {isStopped
              ? 'One answer speaks against any work today. Nothing is planned until it is corrected.'
              : 'The questions before a visit take a minute. The plan is made as soon as they are answered.'}
          </p>
        )}
        <ButtonLink look="filled" href={trouble.length > 0 ? `/clients/${visit.client.id}` : `/visits/${visit.id}/ask`}>
          {trouble.length > 0 ? 'See the findings' : isStopped ? 'See the answers' : 'To the questions'}
        </ButtonLink>
      </main>
    </>
  );
}
