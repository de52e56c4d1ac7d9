import { anatomy } from '../../catalogue/anatomy';
import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import { faceDistances } from '../../catalogue/swelling/scales.data';
import type { ChangeView } from '../../contracts/change-views';
import type { ClosingView } from '../../contracts/closing-view';
import type { ObservationView } from '../../contracts/measure-views';
import { coursesOfFigures } from '../../core/change/before-after';
import { type Figure, type FigureLimits, figuresOf } from '../../core/change/figures';
import type { ClientId, VisitId } from '../../core/ids';
import type { MeasuringSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { findMeasuring } from '../people/settings.repository';
import { shortDay } from '../shared/house-clock';
import { listClosingsOfClient } from '../visits/closings.repository';
import { listVisitsOfClient } from '../visits/visits.repository';
import { measuresAnswers } from './measures.answers';
import { listObservationsOfClient } from './measures.repository';

interface AtVisit {
  readonly id: VisitId;
  readonly starts_at: string;
}

/** Everything of a client that was measured before and after the work, the oldest visit first. */
export async function readChanges(db: Db, clientId: ClientId): Promise<readonly ChangeView[]> {
  const [observations, visits, closings, measuring] = await Promise.all([
    listObservationsOfClient(db, clientId),
    listVisitsOfClient(db, clientId),
    listClosingsOfClient(db, clientId),
    findMeasuring(db),
  ]);
  return changesOf(visits.toReversed(), observations, closings, measuring);
}

/** @param visits the oldest first */
export function changesOf(
  visits: readonly AtVisit[],
  observations: readonly ObservationView[],
  closings: ReadonlyMap<number, ClosingView>,
  { detectable }: Pick<MeasuringSettings, 'detectable'>,
): readonly ChangeView[] {
  const limits: FigureLimits = {
    abdomenGirthCm: detectable['abdomen-girth'] ?? detectableChanges['abdomen-girth'].same,
    facePercent: detectable['face-percent'] ?? detectableChanges['face-percent'].same,
    faceDistances: faceDistances.map(({ label }) => label),
  };
  const figures = new Map<string, Figure[]>();
  for (const one of observations) {
    const at = `${one.visitId} ${one.phase}`;
    const here = figures.get(at);
    if (here) here.push(...figuresOf(anatomy, one, limits));
    else figures.set(at, [...figuresOf(anatomy, one, limits)]);
  }
  const measured = visits.map((visit) => {
    const seen = (phase: 'before' | 'after') => figures.get(`${visit.id} ${phase}`) ?? [];
    const asked = askedAt(closings.get(visit.id));
    return {
      visit: { visitId: visit.id, day: shortDay(visit.starts_at) },
      before: [...seen('before'), ...asked.before],
      after: [...seen('after'), ...asked.after],
    };
  });
  return coursesOfFigures(measured).map(
    ({ aim: _aim, isReached: _isReached, target: _target, visits: at, ...figure }) => ({
      ...figure,
      // Field by field: there are thousands.
      visits: at.map(({ visit, before, after, change, isBeyond, isBetter, heldPercent }) => ({
        visitId: visit.visitId,
        day: visit.day,
        before,
        after,
        change,
        isBeyond,
        isBetter,
        heldPercent,
      })),
    }),
  );
}

/** What is asked and looked at when a visit is closed: how relaxed, how red. */
function askedAt(closing: ClosingView | undefined) {
  const relaxed = (value: number): Figure => ({
    ...{ key: 'relaxed', name: measuresAnswers.relaxed, unit: 'of 10', aim: 'more', limit: 2, value },
    isReached: true,
  });
  const red = (value: number): Figure => ({
    ...{ key: 'red', name: measuresAnswers.rednessOfTheWork, unit: 'grade', aim: 'less', limit: 1, value },
    isReached: true,
  });
  const of = (relaxation: number | null | undefined, redness: number | null | undefined): readonly Figure[] => [
    ...(relaxation == null ? [] : [relaxed(relaxation)]),
    ...(redness == null ? [] : [red(redness)]),
  ];
  return {
    before: of(closing?.relaxationBefore, closing?.rednessBefore),
    after: of(closing?.relaxationAfter, closing?.redness),
  };
}
