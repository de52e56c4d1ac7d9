import { differenceInCalendarDays } from 'date-fns';
import { anatomy } from '../../catalogue/anatomy';
import type { RememberedView } from '../../contracts/remembered-views';
import type { ObservationView } from '../../contracts/measure-views';
import { sideOf } from '../../core/anatomy/place';
import { shortLabel } from '../../core/anatomy/place-labels';
import { tighterByTurning } from '../../core/change/tighter';
import { type Found, type FoundKind, remember, rememberedVisits } from '../../core/change/remembered';
import type { ClientId } from '../../core/ids';
import { marksOf, type Mark } from '../../core/table/marks';
import type { TableStep } from '../../core/table/table-step';
import type { Db } from '../db/connection';
import { listSeenBefore } from '../measures/measures.repository';
import { listEvents } from '../table/table-events.repository';
import { stepsColumn } from './plan.documents';
import { visitsAnswers } from './visits.answers';
import { latestPlan, listVisitsOfClient } from './visits.repository';

const kindOfMark: Readonly<Partial<Record<Mark['kind'], FoundKind>>> = {
  tighter: 'tighter',
  tender: 'tender',
  redness: 'redness',
  warmer: 'warmer',
  cooler: 'cooler',
  pain: 'tender',
};

const kindWords: Readonly<Record<FoundKind, (place: string) => string>> = {
  tighter: visitsAnswers.tighterAt,
  tender: visitsAnswers.tenderAt,
  redness: visitsAnswers.redAt,
  warmer: visitsAnswers.warmerAt,
  cooler: visitsAnswers.coolerAt,
  firm: visitsAnswers.firmAt,
};

/**
 * What hands found over a client’s last visits: marks of the table, and what was felt when it was assessed.
 * @param on ISO; the moment that it is looked back from
 * @param before only visits that began earlier (ISO): the visit that is looked at does not remember itself
 */
export async function readRemembered(
  db: Db,
  clientId: ClientId,
  on: string,
  before?: string,
): Promise<readonly RememberedView[]> {
  const visits = (await listVisitsOfClient(db, clientId))
    .filter((visit) => before === undefined || visit.starts_at < before)
    .filter((visit) => visit.stage === 'done' || visit.closed_at !== null)
    .slice(0, rememberedVisits)
    .toReversed();
  if (visits.length === 0) return [];
  const observations = await listSeenBefore(
    db,
    visits.map(({ id }) => id),
    feltKinds,
  );
  const found = await Promise.all(
    visits.map(async ({ id, starts_at }) => {
      const marks = marksOf(await listEvents(db, id)).filter(({ kind }) => kindOfMark[kind]);
      // A plan is opened only where something was marked in it: it is long.
      const plan = marks.length > 0 ? await latestPlan(db, id) : undefined;
      const steps = plan ? stepsColumn.read(plan.steps_json) : [];
      return {
        daysAgo: differenceInCalendarDays(new Date(on), new Date(starts_at)),
        found: [
          ...marks.flatMap((mark) => foundBy(mark, steps)),
          ...observations.filter(({ visitId }) => visitId === id).flatMap(feltIn),
        ],
      };
    }),
  );
  return remember(found).map(({ kind, place, words, presence, wasLastTime }) => ({
    ...{ kind, place, words, presence, wasLastTime },
    what: kindWords[kind](shortLabel(anatomy, place)),
  }));
}

/** Where a mark was made: the places of its step, on the side that was said. */
function foundBy({ kind, stepId, side }: Mark, steps: readonly TableStep[]): readonly Found[] {
  const step = steps.find(({ id }) => id === stepId);
  const found = kindOfMark[kind];
  if (!step || !found) return [];
  return (step.told?.places ?? [step.place])
    .filter((place) => anatomy.territories.has(place))
    .filter((place) => side === null || side === 'both' || sideOf(place) === side || sideOf(place) === 'mid')
    .map((place) => ({ kind: found, place }));
}

const feltKinds = ['neck-range', 'tighter', 'texture'] as const;

/** What was felt or measured before the work: firm skin, a side that was tighter, a neck that turns less. */
function feltIn(one: ObservationView): readonly Found[] {
  if (one.kind === 'neck-range') {
    const side = tighterByTurning(one.value);
    return side ? [{ kind: 'tighter', place: `neck-side.${side}` }] : [];
  }
  if (one.place === null) return [];
  if (one.kind === 'tighter') return [{ kind: 'tighter', place: one.place }];
  return one.kind === 'texture' && ['firm', 'hard'].includes(one.value.texture)
    ? [{ kind: 'firm', place: one.place }]
    : [];
}
