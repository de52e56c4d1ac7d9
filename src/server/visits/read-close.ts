import type { VisitId } from '../../core/ids';
import type { LimbCourse } from '../../contracts/progress-views';
import { limbOfArea } from '../../core/anatomy/areas';
import { oilBook } from '../../catalogue/oils/oils';
import { shortCourse } from '../../core/course/short';
import { screeningBook } from '../../catalogue/screening/screening';
import { limitsOver } from '../../core/judgement/visit-limits';
import { checkBlend } from '../../core/oils/check';
import { adult } from '../../core/oils/client';
import { hoursOutOfSun } from '../../core/oils/limits';
import { leaveOn } from '../../core/oils/aftercare';
import { oilOf } from '../../core/oils/book';
import { replay } from '../../core/table/progress';
import { aftercareFor } from '../../core/visit/aftercare';
import type { CloseView, VisitView } from '../../contracts/visit-views';
import type { Db } from '../db/connection';
import { visitAtWork } from './at-work';
import { readPictures } from '../pictures/read-pictures';
import { readMeasured } from '../measures/read-measured';
import { proposeNext } from './propose-next';
import { type HouseLibrary, readHouseLibrary } from '../library/read-library';
import { judgeVisit } from '../screening/judge-visit';
import { completeVisit, readVisitFrame } from './read-visit';
import type { VisitRecord } from './visit-record';
import { readTray, rotationsOf } from '../stones/rotate-stones';

/** The limb that was taped last is what the client comes for. */
function aheadOf(courses: readonly LimbCourse[]): CloseView['ahead'] {
  const [limb] = courses;
  const short = limb && shortCourse(limb);
  return limb && short ? { limb: `${limb.side} ${limb.limb}`, ...short } : null;
}

/** What the end of a visit shows: what was used, what the client should mind, when to come again. @returns undefined for no visit */
export async function readClose(db: Db, visitId: VisitId): Promise<CloseView | undefined> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return undefined;
  const visit = await completeVisit(db, record);
  const input = givenModalities(visit, record, await readHouseLibrary(db));
  const steps = visit.plan?.steps ?? [];
  const rotations = steps.some(({ told }) => told?.stones) ? rotationsOf(steps, await readTray(db, record)) : [];
  const { changes, courses } = await readMeasured(db, visit.client.id);
  return {
    visit: visitAtWork(visit),
    changes: changes.flatMap(({ visits, ...change }) => {
      const here = visits.filter((one) => one.visitId === visitId);
      return here.length > 0 ? [{ ...change, visits: here }] : [];
    }),
    pictures: await readPictures(db, visit.client.id),
    ahead: aheadOf(courses),
    isTaped: visit.purpose === 'swelling' && visit.focus.some((id) => limbOfArea(id) !== undefined),
    next: await proposeNext(db, visitId),
    aftercare: aftercareFor({
      modalities: input,
      purpose: visit.purpose,
      isAtRisk: record.stored.some(({ id }) => screeningBook.conditions.get(id)?.tags.includes('limb-at-risk')),
      oil: oilFacts(visit),
      limits: limitsOver(
        judgeVisit(record),
        input.map((modality) => ({ modality, places: steps.flatMap(({ told, place }) => told?.places ?? [place]) })),
      ),
      reddened: (visit.closing?.redness ?? 0) > (visit.closing?.rednessBefore ?? 0),
    }),
    stones: rotations.flatMap(({ isCold, rotation }) =>
      Object.entries(rotation.stonesInPlay).map(([name, count]) => ({
        name: `${isCold ? 'cool ' : ''}${name.replaceAll('-', ' ')}`,
        count,
      })),
    ),
  };
}

/** Kinds of work that came to the table: of a treatment those of which a step was done, else what was booked. */
function givenModalities({ plan, events }: VisitView, record: VisitRecord, library: HouseLibrary): readonly string[] {
  const { outcomes } = replay(events);
  const isDone = (id: string) => outcomes.get(id)?.state === 'done';
  const input = (plan?.treatment?.blocks ?? []).filter(({ steps }) => steps.some(isDone));
  if (input.length === 0) return record.modalities;
  return [...new Set(input.map(({ protocol }) => library.protocols.get(protocol)?.modality ?? 'lymph-drainage'))];
}

/** How the body oil of a visit is to be left; null where none was used. */
function oilFacts({ blends }: VisitView) {
  const blend = blends.body?.blend;
  if (!blend) return null;
  const sunSum = checkBlend(oilBook, { ...blend, client: adult, basis: 'max' })?.phototoxic.sumOfFractions ?? 0;
  const sunny = blend.parts.filter(({ oil, drops }) => drops > 0 && oilOf(oilBook, oil).phototoxic !== null);
  const { hours } = leaveOn({ area: 'body', parts: blend.parts, sunSum, isSensitive: false, travelsAtOnce: false });
  return { staysOn: hours !== null, hoursOutOfSun: sunSum > 1 ? hoursOutOfSun(oilBook, sunny) : 0 };
}
