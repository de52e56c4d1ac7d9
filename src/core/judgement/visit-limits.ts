import type { Celsius } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import { mergeLimits } from '../screening/limits';
import { type Limits, rankOf } from '../screening/tables';
import type { Judgement } from './judgement';

/** Work as it comes to a client: of what kind, and where. */
export interface GivenWork {
  readonly modality: string;
  readonly places: readonly PlaceId[];
}

/**
 * Every limit that holds for work on a client: those of its kinds, and those at the places that it touches; of each the
 * strictest. What is made ready before a visit is asked about here, since it serves all of it.
 */
export function limitsOver(judgement: Judgement, input: readonly GivenWork[]): Limits {
  const { limitKeys } = judgement.book;
  let limits: Limits = {};
  for (const { modality, places } of input) {
    const kind = judgement.kind(modality);
    if (!kind) continue;
    limits = mergeLimits(limitKeys, limits, kind.answer.limits);
    for (const place of new Set(places)) limits = mergeLimits(limitKeys, limits, kind.rows.get(place)?.limits);
  }
  return limits;
}

/** What the judgement leaves of heat or cold at some places. */
export interface StoneVerdict {
  /** The warmest at the first touch (°C); null where only practice limits it. */
  readonly mostC: Celsius | null;
  readonly skin: 'normal' | 'thin';
  /** No stone of that kind is laid there. */
  readonly isOff: boolean;
}

/** What stones on some places may be, whatever the work is called that they stand in. */
export function stonesAt(judgement: Judgement, isCold: boolean, places: readonly PlaceId[]): StoneVerdict {
  const modality = isCold ? 'cold-stone' : 'hot-stone';
  const limits = limitsOver(judgement, [{ modality, places }]);
  const kind = judgement.kind(modality);
  const decisions = [kind?.answer.decision ?? 'ok', ...places.map((place) => kind?.rows.get(place)?.decision ?? 'ok')];
  return {
    mostC: limits.maxStoneC ?? null,
    skin: limits.stoneSkin === 'thin' ? 'thin' : 'normal',
    isOff:
      limits[isCold ? 'noCold' : 'noHeat'] === true ||
      decisions.some((decision) => rankOf(decision) >= rankOf('clear-first')),
  };
}
