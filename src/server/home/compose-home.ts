import { anatomy } from '../../catalogue/anatomy';
import { homeRoutine } from '../../catalogue/homecare/homecare';
import type { HomeWish } from '../../contracts/home';
import { toCheckedSheet } from '../../core/homecare/checked';
import { composeSheet, judgeRoutine, mostMinutes, mostPerWeek } from '../../core/homecare/compose';
import type { Judgement } from '../../core/judgement/judgement';
import { type HomeRoutine, type HomeSheet, stepsOf } from '../../core/homecare/sheet';
import { courseViolations } from '../../core/judgement/course-violations';
import { violationsOf } from '../../core/judgement/violations';
import type { Result } from '../../core/result';
import { placesInWords } from '../../core/judgement/words';
import { violationErrors } from '../treatments/against-judgement';
import { judgeVisit } from '../screening/judge-visit';
import type { HouseLibrary } from '../library/read-library';
import { caseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { homeAnswers } from './home.answers';

/** Draws a sheet up for the client of a visit, by the judgement of the visit; never more often than it allows. */
export function composeHome(library: HouseLibrary, visit: VisitRecord, wish: HomeWish): Result<HomeSheet> {
  const routine = homeRoutine(wish.routine);
  const judgement = judgeVisit(visit);
  const most = mostPerWeek(judgement, routine);
  const isLawful = !judgeRoutine(judgement, routine) && wish.minutes <= mostMinutes(judgement, routine);
  if (isLawful && wish.daysPerWeek * wish.times.length > most)
    return {
      ok: false,
      errors: [{ path: 'daysPerWeek', message: homeAnswers.atMostTimesAWeekFewer(most) }],
    };
  const sheet = composeSheet(anatomy, library, judgement, routine, caseOf(visit), wish);
  if (!sheet.ok) return sheet;
  const against = [
    ...violationsOf(toCheckedSheet(library, routine, sheet.value), judgement),
    ...(routine.from === 'planner' ? courseViolations(stepsOf(sheet.value), judgement) : []),
    // How often it was done this week is held by the days a week above.
  ].filter(({ limit }) => limit !== 'maxPerWeek');
  const names = new Map(stepsOf(sheet.value).map(({ id, places }) => [id, placesInWords(anatomy, places)]));
  return against.length === 0
    ? { ok: true, value: { ...sheet.value, mostPerWeek: most } }
    : { ok: false, errors: violationErrors(against, 'routine', (id) => names.get(id) ?? id) };
}

/** Times in seven days that a sheet may be done, for this client; and why not more, where screening says so. */
export function mostPerWeekOf(
  judgement: Judgement,
  routine: HomeRoutine,
): { readonly mostPerWeek: number; readonly whyNotMore: string } {
  const most = mostPerWeek(judgement, routine);
  const [reason] = most < routine.mostPerWeek ? (judgement.kind(routine.modality)?.answer.reasons ?? []) : [];
  return { mostPerWeek: most, whyNotMore: reason?.text ?? '' };
}
