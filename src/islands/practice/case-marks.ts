import { anatomy } from '../../catalogue/anatomy';
import { expandArea } from '../../core/anatomy/areas';
import type { PlaceId } from '../../core/anatomy/place';
import type { Finding } from '../../core/drainage/finding';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { marksOf } from '../body-marks';
import { practiceWords } from './practice.words';

/** A made-up body as it looks on the map: what is swollen, and what is in the way. */
export function caseMarks(focus: readonly PlaceId[], findings: readonly Finding[]) {
  const marks = marksOf(findings.map((drainage, key) => ({ key, label: drainage.id, drainage })));
  const swollen = focus
    .flatMap((id) => expandArea(anatomy, id) ?? [])
    .map((id): readonly [PlaceId, RegionMark] => [id, { tone: 'drain', words: practiceWords.swollen }]);
  return { ...marks, regions: new Map([...swollen, ...marks.regions]) };
}
