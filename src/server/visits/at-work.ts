import type { PlanAtWork, PlanView, VisitAtWork, VisitHeadView, VisitView } from '../../contracts/visit-views';

/** A plan as it is worked by: less than half of what its making holds. */
export function planAtWork({ plan: _making, ...plan }: PlanView): PlanAtWork {
  return plan;
}

/** A visit for the table and for its end. */
export const visitAtWork = (visit: VisitView): VisitAtWork => ({
  ...visit,
  plan: visit.plan && planAtWork(visit.plan),
});

/** A visit for views that only say whose it is and how far it has come. */
export function headOf(visit: VisitView): VisitHeadView {
  const { id, startsAt, time, date, minutes, stage, focus, purpose, work, holds, client, therapist } = visit;
  const { findings, school, isFirst, missing, events, before } = visit;
  return {
    ...{ id, startsAt, time, date, minutes, stage, focus, purpose, work, holds, client, therapist },
    ...{ findings, school, isFirst, missing, events, before },
  };
}
