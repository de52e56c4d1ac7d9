import { askWords } from './ask.words';
import type { AskState } from '../../contracts/ask-views';
import type { RegionMark } from '../../ui/body-map/map-marks';
import type { marksOf } from '../body-marks';

/**
 * What the body map shows while asking: what is to be drained, over it what a kind of work may not touch, over that
 * what was found and closes a region, and on top what is being marked.
 * @param work the kind of work that is looked at
 */
export function askRegions({
  focus,
  work,
  found,
  marking,
}: {
  readonly focus: readonly string[];
  readonly work: AskState['screening']['decisions'][number] | undefined;
  readonly found: ReturnType<typeof marksOf>;
  readonly marking: readonly string[];
}): ReadonlyMap<string, RegionMark> {
  const regions = new Map<string, RegionMark>(focus.map((id) => [id, { tone: 'drain', words: askWords.toBeDrained }]));
  // The strictest place comes first: it is written last.
  for (const { decision, regions: ids } of [...(work?.places ?? [])].reverse()) {
    const isOff = decision !== 'modify' && decision !== 'ok';
    for (const id of ids)
      regions.set(
        id,
        isOff ? { tone: 'closed', words: askWords.keptOff } : { tone: 'prepare', words: askWords.withChanges },
      );
  }
  for (const [id, mark] of found.regions) if (!regions.has(id) || mark.tone === 'closed') regions.set(id, mark);
  for (const id of marking) regions.set(id, { tone: 'active', words: askWords.marked });
  return regions;
}
