import { type Anatomy, isIn, nameOf, type PlaceId } from '../anatomy/place';
import type { ScreeningBook } from '../screening/book';
import type { Screening } from '../screening/screen';
import type { OilClient } from './client';
import { oilsSays } from './oils.says';

/** The work that oil is mixed for, and the skin that it will touch. */
export interface TouchedByOil {
  readonly modalities: readonly string[];
  /** Names of regions that oil of the visit touches; empty where that is not known yet: anywhere then. */
  readonly regions: ReadonlySet<string>;
  /** The oil of the body comes to the face, too. */
  readonly bodyTouchesFace: boolean;
}

/** Oils and carriers that are kept away together, by group. */
export type OilGroups = Readonly<
  Record<string, { readonly oils?: readonly string[]; readonly carriers?: readonly string[]; readonly label?: string }>
>;

/** Kinds of work that bring oil to the skin. */
export const oilWork = ['aromatherapy', 'spine-oil-layering', 'body-massage', 'facial-massage'] as const;

/**
 * Who a bottle is for, as the judgement sees them: whatever the work is called, any limit of the visit binds every bottle
 * that touches that skin; without a visit every kind that takes oil does.
 * @param screening of all kinds of work of the visit, and of those that bring oil
 */
export function oilClientOf(
  { anatomy, conditions: known }: Pick<ScreeningBook, 'anatomy' | 'conditions'>,
  groups: OilGroups,
  who: { readonly age: number | null; readonly conditions: readonly string[] },
  screening: Pick<Screening, 'byModality' | 'regions'>,
  work: TouchedByOil | undefined,
): OilClient {
  const conditions = new Set(who.conditions.flatMap((id) => known.get(id)?.oilConditions ?? []));
  const { onBody, onFace } = mostPercents(anatomy, screening, work);
  return {
    age: who.age,
    conditions: [...conditions],
    skin: conditions.has('sensitive-skin') ? 'sensitive' : 'normal',
    avoids: avoidedGroups(screening).flatMap((group) => {
      const { oils = [], carriers = [], label = group } = groups[group] ?? {};
      return [...oils, ...carriers].map((id) => ({ id, reason: oilsSays.keptAway(label) }));
    }),
    ...(onBody.length > 0 ? { mostPercent: Math.min(...onBody) } : {}),
    ...(onFace.length > 0 ? { mostPercentOnFace: Math.min(...onFace) } : {}),
    ...(work?.bodyTouchesFace ? { bodyTouchesFace: true } : {}),
  };
}

function mostPercents(
  anatomy: Anatomy,
  screening: Pick<Screening, 'byModality' | 'regions'>,
  work: TouchedByOil | undefined,
) {
  const kinds = work ? new Set([...work.modalities, 'aromatherapy']) : new Set<string>(oilWork);
  const most = screening.byModality
    .filter(({ modality }) => kinds.has(modality))
    .flatMap(({ limits }) => limits.dilutionMaxPercent ?? []);
  const mostAt = (holds: (place: PlaceId) => boolean) =>
    screening.regions
      .filter(({ modality, region }) => kinds.has(modality) && holds(region))
      .flatMap(({ limits }) => limits.dilutionMaxPercent ?? []);
  const isFace = (place: PlaceId) => isIn(anatomy, 'face', place);
  const isTouched = (place: PlaceId) => !work || work.regions.size === 0 || work.regions.has(nameOf(place));
  return {
    onBody: [...most, ...mostAt((place) => !isFace(place) && isTouched(place))],
    onFace: mostAt((place) => isFace(place) && isTouched(place)),
  };
}

/** Oil groups that any of the screened work keeps away. */
export const avoidedGroups = (screening: Pick<Screening, 'byModality'>): readonly string[] => [
  ...new Set(screening.byModality.flatMap(({ limits }) => limits.avoidOils ?? [])),
];
