import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import type { TherapistView } from '../../contracts/people-views';
import type { VisitLookedBack } from '../../contracts/visit-views';
import { send } from '../api';
import { FirstPlan } from './FirstPlan';
import { NoPlan } from './NoPlan';
import { Planning } from './Planning';
import { RefreshContext } from '../visit-head/refresh';
import { unpacked } from '../../ui/frame/packed';

const PlanView = lazy(() => import('./PlanView').then((module) => ({ default: module.PlanView })));
const TreatmentPlan = lazy(() =>
  import('../treatment/TreatmentPlan').then((module) => ({ default: module.TreatmentPlan })),
);

interface Props {
  readonly visit: VisitLookedBack;
  readonly therapists: readonly TherapistView[];
}

/** The place of a visit's plan: a drainage, a treatment of several parts, the first plan being made, or why there is none. */
function PlanPage({ visit: first, therapists }: Props) {
  const [visit, setVisit] = useState(first);
  // What is fetched anew begins anew: nothing of the plan before stays in the view.
  const [turn, setTurn] = useState(0);
  const refresh = useCallback(async () => {
    setVisit(await send('GET /api/visits/{id}', { params: { id: first.id } }));
    setTurn((before) => before + 1);
  }, [first.id]);
  const refreshing = useMemo(() => ({ refresh, turn }), [refresh, turn]);
  return (
    <RefreshContext value={refreshing}>
      <Suspense key={turn} fallback={<Planning visit={visit} />}>
        <Shown visit={visit} therapists={therapists} />
      </Suspense>
    </RefreshContext>
  );
}

function Shown({ visit, therapists }: Props) {
  const { plan } = visit;
  const shown = { ...visit, stage: visit.stage === 'measure' ? ('plan' as const) : visit.stage };
  if (plan?.treatment) return <TreatmentPlan visit={shown} plan={plan} treatment={plan.treatment} />;
  if (plan) return <PlanView visit={shown} first={plan} therapists={therapists} />;
  if (visit.stage === 'stopped' || visit.stage === 'ask') return <NoPlan visit={visit} trouble={[]} />;
  return <FirstPlan visit={shown} therapists={therapists} />;
}

/** As the page shows it. */
export const PlanIsland = unpacked(PlanPage);
