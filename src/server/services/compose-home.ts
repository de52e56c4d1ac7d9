import { anatomy } from '../../catalogue/anatomy';
import { homeRoutine } from '../../catalogue/homecare/homecare';
import type { HomeWish } from '../../contracts/home';

import { sheetFromLibrary } from '../../core/homecare/from-library';
import { sheetFromPlan } from '../../core/homecare/from-plan';
import type { HomeSheet } from '../../core/homecare/sheet';
import type { Result } from '../../core/result';
import { rankOf } from '../../core/screening/tables';
import { drainageOf } from './describe-finding';
import { judgeVisit } from './judge-visit';
import type { HouseLibrary } from './read-library';
import { caseOf, screeningCaseOf, type VisitRecord } from './read-visit';
import { screenCase } from './screen-visit';

/** Draws a sheet up for the client of a visit: from the planner, or from the library; never against screening. */
export function composeHome(library: HouseLibrary, visit: VisitRecord, wish: HomeWish): Result<HomeSheet> {
  const routine = homeRoutine(wish.routine);
  const refuse = (path: string, message: string): Result<HomeSheet> => ({ ok: false, errors: [{ path, message }] });
  const screening = screenCase(screeningCaseOf(visit));
  const answer = screening.byModality.find(({ modality }) => modality === routine.modality);
  if (answer && rankOf(answer.decision) >= rankOf('clear-first'))
    return refuse('routine', answer.reasons[0]?.text ?? 'Screening does not allow it.');
  const most = Math.min(answer?.limits.maxMinutes ?? Infinity, routine.minutes.most);
  if (wish.minutes > most) return refuse('minutes', `At most ${most} minutes of this alone.`);
  const mostPerWeek = Math.min(answer?.limits.maxPerWeek ?? Infinity, routine.mostPerWeek);
  if (wish.daysPerWeek * wish.times.length > mostPerWeek)
    return refuse('daysPerWeek', `At most ${mostPerWeek} times a week: fewer days, or fewer times a day.`);
  if (routine.from !== 'planner')
    return sheetFromLibrary(...([anatomy, library, routine, drainageOf(visit.stored)] as const), judgeVisit(visit), {
      side: wish.side === 'both' ? null : wish.side,
      minutes: wish.minutes,
      reach: wish.reach,
    });
  if (wish.side === null) return refuse('side', 'Choose the side.');
  return sheetFromPlan(anatomy, caseOf(visit), {
    routine: wish.routine === 'one-leg' ? 'one-leg' : 'after-armpit',
    side: wish.side,
    minutes: wish.minutes,
    reach: wish.reach,
  });
}

/** Times in seven days that a sheet may be done, for this client. */
export function mostPerWeekOf(visit: VisitRecord, routineId: HomeWish['routine']): number {
  const routine = homeRoutine(routineId);
  const screening = screenCase(screeningCaseOf(visit), [routine.modality]);
  return Math.min(screening.byModality[0]?.limits.maxPerWeek ?? Infinity, routine.mostPerWeek);
}
