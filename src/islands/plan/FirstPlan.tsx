import { planWords } from './plan.words';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { TherapistView } from '../../contracts/people-views';
import type { PlanView as Plan, VisitLookedBack } from '../../contracts/visit-views';
import { Button } from '../../ui/button/Button';
import { RequestError, send, sentenceOf } from '../api';
import { VisitHead } from '../visit-head/VisitHead';
import { NoPlan } from './NoPlan';
import { Planning } from './Planning';
import styles from './NoPlan.module.css';

const PlanView = lazy(() => import('./PlanView').then((module) => ({ default: module.PlanView })));
const TreatmentPlan = lazy(() =>
  import('../treatment/TreatmentPlan').then((module) => ({ default: module.TreatmentPlan })),
);

interface Props {
  readonly visit: VisitLookedBack;
  readonly therapists: readonly TherapistView[];
}

/** Why there is no plan: what speaks against one, or that it could not be asked for. */
type Trouble =
  { readonly kind: 'refused'; readonly why: readonly string[] } | { readonly kind: 'failed'; readonly why: string };

const troubleOf = (error: unknown): Trouble =>
  error instanceof RequestError && error.problem.errors
    ? { kind: 'refused', why: error.problem.errors.map(({ message }) => message) }
    : { kind: 'failed', why: sentenceOf(error) };

/** A visit that has no plan yet: looking at it here makes one, of what it was booked for. */
export function FirstPlan({ visit, therapists }: Props) {
  const [plan, setPlan] = useState<Plan>();
  const [trouble, setTrouble] = useState<Trouble>();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    send('POST /api/visits/{id}/first-plan', { params: { id: visit.id } }).then(
      (made) => setPlan(made.plan),
      (error: unknown) => setTrouble(troubleOf(error)),
    );
  }, [tries, visit.id]);
  const again = () => {
    setTrouble(undefined);
    setTries(tries + 1);
  };
  if (trouble?.kind === 'refused') return <NoPlan visit={visit} trouble={trouble.why} />;
  if (trouble)
    return (
      <>
        <VisitHead visit={visit} here="plan" />
        <main id="main" className={styles['main']}>
          <h2>{planWords.thePlanCouldNotBeMade}</h2>
          <p role="alert">{trouble.why}</p>
          <Button look="filled" onClick={again}>
            {planWords.tryAgain}
          </Button>
        </main>
      </>
    );
  if (!plan) return <Planning visit={visit} />;
  return (
    <Suspense fallback={<Planning visit={visit} />}>
      {plan.treatment ? (
        <TreatmentPlan visit={visit} plan={plan} treatment={plan.treatment} />
      ) : (
        <PlanView visit={visit} first={plan} therapists={therapists} />
      )}
    </Suspense>
  );
}
