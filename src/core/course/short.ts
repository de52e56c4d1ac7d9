import type { Millilitres } from '../quantities';
import { type VolumeUnit, volumesIn } from '../volume-units';
import { courseVisits, type MeasuredPoint, visitErrorMl, visitsWanted } from './advice';
import { courseOf } from './course';
import { courseSays } from './course.says';
import { forecastInWords, intervalInWords, responseInWords, wantedInWords } from './course-words';

/** A course of a limb, as far as it is looked ahead from. */
interface Measured {
  readonly points: readonly (MeasuredPoint & { readonly excessSdMl: Millilitres | null })[];
  readonly volumeUnit: VolumeUnit;
}

/** The course ahead in short: for the end of a visit, and for a letter. */
export interface ShortCourse {
  /** What a visit takes and how long that holds with their ranges, or what is still needed to say it. */
  readonly words: string;
  /** Where visits as now no longer change it: that, and what may be raised. */
  readonly plateau: string | null;
  /** Intervals with what they would come to, each with its range. */
  readonly rows: readonly {
    readonly every: string;
    readonly visits: number;
    readonly comesTo: string;
  }[];
}

const intervals = [7, 14, 21, 28] as const;
/** So far it is looked ahead. */
const shortHorizonDays = 84;

/** @returns undefined where no excess was ever measured */
export function shortCourse({ points, volumeUnit }: Measured): ShortCourse | undefined {
  const visits = courseVisits(points);
  if (visits.length === 0) return undefined;
  const wanted = visitsWanted(visits);
  if (wanted > 0) return { words: wantedInWords(wanted), plateau: null, rows: [] };
  const course = courseOf({
    visits,
    errorMl: visitErrorMl(points.flatMap(({ excessSdMl }) => excessSdMl ?? [])),
    ...{ intervals, horizonDays: shortHorizonDays, phases: null, goalMl: null, seed: 1 },
  });
  if (!course.enough) return { words: courseSays.tooLittleBeyondError, plateau: null, rows: [] };
  const { text } = volumesIn(volumeUnit);
  return {
    words: responseInWords(course),
    plateau: course.plateau ? `${courseSays.noLongerChange} ${courseSays.whatMayBeRaised}` : null,
    rows: course.forecast.map((one) => ({
      every: intervalInWords(one.everyDays),
      visits: one.visits,
      comesTo: forecastInWords(one, text),
    })),
  };
}
