import type { Drops, Minutes, Percent } from '../quantities';
import type { LanguageId } from '../language';
import type { ConditionId, OilId } from '../ids';
/** What blends are judged by; the catalogue brings the figures. Percent is volume in volume of the finished blend. */

export const areas = ['body', 'face', 'local', 'bath'] as const;
/** Where a blend goes. */
export type Area = (typeof areas)[number];

export const noteIds = ['top', 'middle', 'base'] as const;
/** When a scent is smelled: at once, through the treatment, into the evening. */
export type NoteId = (typeof noteIds)[number];

export const useIds = [
  'calming',
  'sleep',
  'muscle-ease',
  'joint-warmth',
  'circulation',
  'uplifting',
  'focus',
  'grounding',
  'congestion',
  'digestion',
  'headache-tension',
  'skin-balance',
  'dry-skin',
  'mature-skin',
] as const;
export type UseId = (typeof useIds)[number];

/** How firm a figure is. */
export type Certainty = 'established' | 'typical' | 'uncertain';

/** How it is commonly called in the other languages of clients. */
export type OtherNames = Readonly<Record<Exclude<LanguageId, 'en'>, string>>;

export interface ConstituentShare {
  readonly id: string;
  readonly minPercent: Percent;
  readonly typicalPercent: Percent;
  readonly maxPercent: Percent;
}

export interface Avoidance {
  readonly condition: ConditionId;
  readonly scope: 'all' | 'face';
  readonly reason: string;
}

export interface EssentialOil {
  readonly id: string;
  readonly name: string;
  readonly otherNames: OtherNames;
  readonly latin: string;
  readonly part: string;
  readonly note: NoteId;
  readonly odourFamily: string;
  /** 1 faint – 10 overpowering. */
  readonly odourIntensity: number;
  readonly densityGPerMl: number;
  readonly dropsPerMl: number;
  readonly shelfLifeMonthsOpened: number;
  readonly constituents: readonly ConstituentShare[];
  readonly dermalMaxPercent: Percent | null;
  readonly dermalMaxReason: string | null;
  readonly phototoxic: { readonly maxLeaveOnPercent: Percent; readonly hoursOutOfSun: number } | null;
  readonly sensitiser: 'none' | 'low' | 'moderate' | 'high';
  readonly irritant: 'none' | 'low' | 'moderate' | 'high';
  readonly uses: readonly UseId[];
  readonly skinTypes: readonly string[];
  readonly avoid: readonly Avoidance[];
  readonly confidence: Certainty;
}

export interface Constituent {
  readonly id: string;
  readonly name: string;
  readonly dermalMaxPercent: Percent | null;
  readonly dermalMaxFacePercent: Percent | null;
  readonly reason: string;
  readonly source: string;
  readonly confidence: Certainty;
}

export interface Carrier {
  readonly id: string;
  readonly name: string;
  readonly otherNames: OtherNames;
  /** null for what grows on no plant. */
  readonly latin: string | null;
  readonly densityGPerMl: number;
  readonly viscosity: 'light' | 'medium' | 'rich';
  readonly absorption: 'fast' | 'medium' | 'slow';
  /** How long hands glide on it. */
  readonly glideMinutes: Minutes;
  /** 0–5: how readily it closes pores. */
  readonly comedogenicity: number;
  readonly skinTypes: readonly string[];
  readonly allergens: readonly string[];
  readonly shelfLifeMonthsOpened: number;
  readonly faceSuitable: boolean;
  readonly launders: 'easy' | 'hard';
  readonly waterBased: boolean;
  readonly confidence: Certainty;
}

/** What is usual for some people or some place. */
export interface GuideRow {
  readonly id: string;
  readonly audience: string;
  readonly area: string;
  readonly usualMinPercent: Percent;
  readonly usualMaxPercent: Percent;
  readonly note: string;
}

export interface OilBook {
  readonly oils: ReadonlyMap<string, EssentialOil>;
  readonly constituents: ReadonlyMap<string, Constituent>;
  readonly carriers: ReadonlyMap<string, Carrier>;
  readonly guide: ReadonlyMap<string, GuideRow>;
  /** What a client may have that oils are avoided for → in words. */
  readonly conditions: ReadonlyMap<string, string>;
}

/** How rich the bottle is taken to be: as rich as such oils come, or as they usually are. */
export type Basis = 'max' | 'typical';

/** Drops of an oil. */
export interface BlendPart {
  readonly oil: OilId;
  readonly drops: Drops;
  /** Counted on the house's own bottle; the table's figure when left out. */
  readonly dropsPerMl?: number | undefined;
}

/** @throws RangeError for an oil that the book does not have; ids are checked where they come in */
export function oilOf(book: OilBook, id: string): EssentialOil {
  const oil = book.oils.get(id);
  if (!oil) throw new RangeError(`no oil “${id}” in the book`);
  return oil;
}

/** @throws RangeError for a carrier that the book does not have */
export function carrierOf(book: OilBook, id: string): Carrier {
  const carrier = book.carriers.get(id);
  if (!carrier) throw new RangeError(`no carrier “${id}” in the book`);
  return carrier;
}
