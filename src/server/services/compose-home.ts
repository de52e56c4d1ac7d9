import { anatomy } from '../../catalogue/anatomy';
import { homeRoutine } from '../../catalogue/homecare/homecare';
import type { HomeWish } from '../../contracts/home';
import { toCheckedSheet } from '../../core/homecare/checked';
import { composeSheet, judgeRoutine, mostMinutes, mostPerWeek } from '../../core/homecare/compose';
import type { HomeSheet } from '../../core/homecare/sheet';
import { violationsOf } from '../../core/judgement/violations';
import type { Result } from '../../core/result';
import { judgeVisit } from './judge-visit';
import type { HouseLibrary } from './read-library';
import { caseOf, type VisitRecord } from './read-visit';

/** Draws a sheet up for the client of a visit, by the judgement of the visit; never more often than it allows. */
export function composeHome(library: HouseLibrary, visit: VisitRecord, wish: HomeWish): Result<HomeSheet> {
  const routine = homeRoutine(wish.routine);
  const judgement = judgeVisit(visit);
  const most = mostPerWeek(judgement, routine);
  const isLawful = !judgeRoutine(judgement, routine) && wish.minutes <= mostMinutes(judgement, routine);
  if (isLawful && wish.daysPerWeek * wish.times.length > most)
    return {
      ok: false,
      errors: [{ path: 'daysPerWeek', message: `At most ${most} times a week: fewer days, or fewer times a day.` }],
    };
  const sheet = composeSheet(anatomy, library, judgement, routine, caseOf(visit), wish);
  const violations = sheet.ok ? violationsOf(toCheckedSheet(library, routine, sheet.value), judgement) : [];
  // How often it was done this week is held by the days a week above.
  const [worst] = violations.filter(({ limit }) => limit !== 'maxPerWeek');
  if (worst) throw new RangeError(`a sheet against its judgement: ${JSON.stringify(worst)}`);
  return sheet;
}

/** Times in seven days that a sheet may be done, for this client. */
export const mostPerWeekOf = (visit: VisitRecord, routineId: HomeWish['routine']): number =>
  mostPerWeek(judgeVisit(visit), homeRoutine(routineId));
