import type { Celsius, Percent } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import type { Decision, Limits } from '../screening/tables';
import type { Judgement } from './judgement';

/** A bottle as it would come to a client. */
export interface CheckedBlend {
  readonly totalPercent: Percent;
  readonly isScented: boolean;
  /** Essential oils and carriers in it, by id. */
  readonly contents: readonly string[];
  /** Kinds of work that it is for, and the skin that it will touch. */
  readonly modalities: readonly string[];
  readonly places: ReadonlySet<PlaceId>;
}

/** A stone as it would be laid on a client. */
export interface CheckedStone {
  readonly id: string;
  readonly isCold: boolean;
  readonly firstContactC: Celsius;
  readonly places: readonly PlaceId[];
}

export interface ProductViolation {
  /** The step of a stone; null for a bottle. */
  readonly step: string | null;
  readonly limit:
    'noOil' | 'noScent' | 'dilutionMaxPercent' | 'avoidOils' | 'maxStoneC' | 'noHeat' | 'noCold' | 'decision';
  /** What the limit allows, where it is a figure. */
  readonly most: number | null;
  readonly place: PlaceId | null;
}

const forbidden: ReadonlySet<string> = new Set(['clear-first', 'refer', 'stop']);
const slack = 1e-6;

/** Rows of a screening that a product meets: whole kinds of work, and places that it touches. */
function* met(judgement: Judgement, modalities: ReadonlySet<string>, touches: (place: PlaceId) => boolean) {
  for (const { modality, reasons, limits } of judgement.screening.byModality) {
    if (!modalities.has(modality)) continue;
    // Who may give it is decided with the kind of work of the part; here only what was found counts.
    const isOff = reasons.some(
      ({ local, condition, decision }) => !local && condition !== 'scope' && isForbidden(decision),
    );
    yield { place: null, isOff: isOff && !judgement.lifted.has(modality), limits };
  }
  for (const { modality, region, reasons, limits } of judgement.screening.regions)
    if (modalities.has(modality) && touches(region))
      yield { place: region, isOff: reasons.some(({ decision }) => isForbidden(decision)), limits };
}

const isForbidden = (decision: Decision) => forbidden.has(decision);

/**
 * Looks a bottle over against the judgement, apart from the solver and from what limits it there.
 * @param contentsOf oils and carriers of an oil group
 */
export function blendViolations(
  blend: CheckedBlend,
  judgement: Judgement,
  contentsOf: (group: string) => ReadonlySet<string>,
): readonly ProductViolation[] {
  const found: ProductViolation[] = [];
  const kinds = new Set([...blend.modalities, ...(blend.isScented ? ['aromatherapy'] : [])]);
  for (const { place, isOff, limits } of met(judgement, kinds, (one) => blend.places.has(one))) {
    // Skin that is off is not touched at all: the treatment leaves it out, and with it its share of the oil.
    if (place !== null && isOff) continue;
    const say = (limit: ProductViolation['limit'], most: number | null = null) =>
      found.push({ step: null, limit, most, place });
    for (const [limit, most] of brokenByBlend(blend, limits, contentsOf)) say(limit, most);
  }
  return found;
}

function* brokenByBlend(
  { totalPercent, isScented, contents }: CheckedBlend,
  limits: Limits,
  contentsOf: (group: string) => ReadonlySet<string>,
): Generator<readonly [ProductViolation['limit'], number | null]> {
  const { dilutionMaxPercent, noScent, avoidOils = [] } = limits;
  if (dilutionMaxPercent !== undefined && totalPercent > dilutionMaxPercent + slack)
    yield ['dilutionMaxPercent', dilutionMaxPercent];
  if (noScent && isScented) yield ['noScent', null];
  if (avoidOils.some((group) => contents.some((id) => contentsOf(group).has(id)))) yield ['avoidOils', null];
}

/** Looks the stones of a visit over against the judgement, apart from what set their first touch. */
export function stoneViolations(stones: readonly CheckedStone[], judgement: Judgement): readonly ProductViolation[] {
  return stones.flatMap(({ id, isCold, firstContactC, places }) => {
    const found: ProductViolation[] = [];
    const kinds = new Set([isCold ? 'cold-stone' : 'hot-stone']);
    for (const { place, isOff, limits } of met(judgement, kinds, (one) => places.includes(one))) {
      const say = (limit: ProductViolation['limit'], most: number | null = null) =>
        found.push({ step: id, limit, most, place });
      if (isOff) say('decision');
      if (limits.noHeat && !isCold) say('noHeat');
      if (limits.noCold && isCold) say('noCold');
      if (!isCold && limits.maxStoneC !== undefined && firstContactC > limits.maxStoneC + slack)
        say('maxStoneC', limits.maxStoneC);
    }
    return found;
  });
}
