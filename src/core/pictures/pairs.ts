import type { Pose } from './poses';

/** What a pair is chosen by. */
export interface Pictured {
  readonly pose: Pose;
  readonly phase: 'before' | 'after';
  readonly visitId: number | null;
}

/** Two pictures of one view, the earlier on the left. */
export interface Pair<P> {
  readonly pose: Pose;
  readonly earlier: P;
  readonly later: P;
}

/** Views in the order in which they were first taken. */
const posesOf = (photos: readonly Pictured[]): readonly Pose[] => [...new Set(photos.map(({ pose }) => pose))];

/**
 * Before and after the work of one visit, view by view; of several the last before and the last after it.
 * @param photos the oldest first
 */
export function pairsOfVisit<P extends Pictured>(photos: readonly P[], visitId: number): readonly Pair<P>[] {
  const here = photos.filter((photo) => photo.visitId === visitId);
  return posesOf(here).flatMap((pose) => {
    const last = (phase: P['phase']) => here.findLast((photo) => photo.pose === pose && photo.phase === phase);
    const [earlier, later] = [last('before'), last('after')];
    return earlier && later ? [{ pose, earlier, later }] : [];
  });
}

/**
 * The first and the newest of each view. Both were taken before the work where there are two such: after it a body looks
 * otherwise for an hour.
 * @param photos the oldest first
 */
export function pairsOverVisits<P extends Pictured>(photos: readonly P[]): readonly Pair<P>[] {
  return posesOf(photos).flatMap((pose) => {
    const all = photos.filter((photo) => photo.pose === pose);
    const before = all.filter(({ phase }) => phase === 'before');
    const [from, to] = before.length > 1 ? [before[0], before.at(-1)] : [all[0], all.at(-1)];
    return from && to && from !== to ? [{ pose, earlier: from, later: to }] : [];
  });
}
