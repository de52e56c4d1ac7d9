import { planWords } from './plan.words';
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
          {isStopped
            ? planWords.theCheckStoppedThisVisit
            : trouble.length > 0
              ? planWords.thisCannotBePlannedYet
              : planWords.askFirst}
        </h2>
        {trouble.length > 0 ? (
          trouble.map((text) => <p key={text}>{text}</p>)
        ) : (
          <p>{isStopped ? planWords.oneAnswerSpeaksAgainstAnyWork : planWords.theQuestionsBeforeAVisitTake}</p>
        )}
        <ButtonLink look="filled" href={trouble.length > 0 ? `/clients/${visit.client.id}` : `/visits/${visit.id}/ask`}>
          {trouble.length > 0
            ? planWords.seeTheFindings
            : isStopped
              ? planWords.seeTheAnswers
              : planWords.toTheQuestions}
        </ButtonLink>
      </main>
    </>
  );
}
