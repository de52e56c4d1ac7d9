import type { PlaceId } from '../anatomy/place';
import type { Judgement } from './judgement';
import type { JudgementViolation } from './violations';

/** A step of a drainage course, for a visit or for home. */
export interface CheckedCourseStep {
  readonly id: string;
  readonly places: readonly PlaceId[];
  readonly toward: PlaceId | null;
}

const modality = 'lymph-drainage';

/**
 * Looks a drainage course over against the judgement: nothing is led into a closed group, and nothing touches skin where
 * drainage is stopped. The order of its steps is looked over by the rules of drainage.
 */
export function courseViolations(
  steps: readonly CheckedCourseStep[],
  { screening, closedGroups }: Pick<Judgement, 'screening' | 'closedGroups'>,
): readonly JudgementViolation[] {
  const stopped = new Set(
    screening.regions.filter((row) => row.modality === modality && row.decision === 'stop').map(({ region }) => region),
  );
  return steps.flatMap(({ id, places, toward }) => {
    const off = places.filter((place) => stopped.has(place));
    const isIntoClosed = toward !== null && closedGroups.has(toward);
    return [
      ...off.map((place): JudgementViolation => ({ step: id, limit: 'place', modality, place })),
      ...(isIntoClosed ? [{ step: id, limit: 'closed-group', modality, place: toward } as const] : []),
    ];
  });
}
