import { lazy, Suspense, useEffect, useState } from 'react';
import type { TherapistView } from '../../contracts/people-views';
import type { PlanView as Plan, VisitView } from '../../contracts/visit-views';
import { RequestError, send, sentenceOf } from '../api';
import { VisitHead } from '../visit-head/VisitHead';
import { NoPlan } from './NoPlan';
import styles from './NoPlan.module.css';

const PlanView = lazy(() => import('./PlanView').then((module) => ({ default: module.PlanView })));
const TreatmentPlan = lazy(() =>
  import('../treatment/TreatmentPlan').then((module) => ({ default: module.TreatmentPlan })),
);

interface Props {
  readonly visit: VisitView;
  readonly therapists: readonly TherapistView[];
}

/** A visit that has no plan yet: looking at it here makes one, of what it was booked for. */
export function FirstPlan({ visit, therapists }: Props) {
  const [plan, setPlan] = useState<Plan>();
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  useEffect(() => {
    send('POST /api/visits/{id}/first-plan', { params: { id: visit.id } }).then(
      (made) => setPlan(made.plan),
      (error: unknown) => {
        const errors = error instanceof RequestError ? error.problem.errors : undefined;
        setTrouble(errors?.map(({ message }) => message) ?? [sentenceOf(error)]);
      },
    );
  }, [visit.id]);
  if (trouble.length > 0) return <NoPlan visit={visit} trouble={trouble} />;
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

function Planning({ visit }: { readonly visit: VisitView }) {
  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <main id="main" className={styles['main']} aria-busy>
        <h2 role="status">Planning the visit …</h2>
        <p>From what was asked, what was found and the time that is booked.</p>
      </main>
    </>
  );
}
