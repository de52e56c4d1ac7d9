import type { LanguageId } from '../language';
import type { Celsius, Minutes, Percent } from '../quantities';
import type { ConditionId } from '../ids';
/** Mildest first; the worst decision wins. */
export const decisions = ['ok', 'modify', 'clear-first', 'refer', 'stop'] as const;
export type Decision = (typeof decisions)[number];

/** How firm a rule is: sources agree (`high`) or differ. */
export type Confidence = 'high' | 'medium' | 'low';

/** Lightest first. */
export const pressures = ['feather', 'light', 'medium', 'firm'] as const;
export type Pressure = (typeof pressures)[number];

/** What has to be kept while the work goes on. Absent: no such limit. */
export interface Limits {
  readonly maxPressure?: Pressure;
  readonly maxMinutes?: Minutes;
  /** Warmest stone surface at first touch, °C. */
  readonly maxStoneC?: Celsius;
  /** Times in seven days. */
  readonly maxPerWeek?: number;
  /** Essential oil in the medium, percent by volume. */
  readonly dilutionMaxPercent?: Percent;
  readonly keepAwayCm?: number;
  readonly noHeat?: boolean;
  readonly noCold?: boolean;
  readonly noOil?: boolean;
  readonly noScent?: boolean;
  readonly gloves?: boolean;
  readonly workAround?: boolean;
  readonly slowRise?: boolean;
  readonly patchTest?: boolean;
  readonly guardian?: boolean;
  readonly askEachStep?: boolean;
  readonly avoidPosition?: readonly string[];
  readonly skipTechniques?: readonly string[];
  readonly avoidOils?: readonly string[];
  readonly avoidMaterials?: readonly string[];
  readonly stoneSkin?: string;
  readonly spineDirection?: string;
  /** First day on which a waiting time has ended, YYYY-MM-DD; only in answers. */
  readonly waitUntil?: string;
}
export type LimitKey = keyof Limits;

export type LimitMerge = 'lowest' | 'min' | 'max' | 'or' | 'union' | 'last' | 'latest';
export interface LimitRule {
  readonly merge: LimitMerge;
  readonly label: string;
}

/** All entries have to be held; of an inner list any one. */
export type Requirements = readonly (string | readonly string[])[];

/** Names of territories, without their side; or what was marked, alone or with its limb or its quarter of the trunk. */
export type Where = 'whole' | 'marked' | 'marked-limb' | 'marked-quadrant' | readonly string[];

/** What one finding does to some of the work. */
export interface Effect {
  readonly on: 'all' | readonly string[];
  readonly where: Where;
  readonly decision: Decision;
  readonly confidence: Confidence;
  readonly why: string;
  /** In whole days since the event: from `fromDay` on, and while fewer than `untilDay` have passed. */
  readonly holds?: { readonly fromDay?: number; readonly untilDay?: number };
  readonly limits?: Limits;
  readonly requires?: Requirements;
  /** Left out, instead of taken everywhere, as long as its place has not been marked. */
  readonly onlyIfPlaced?: boolean;
}

export type Locatable = 'no' | 'side' | 'region' | 'line' | 'point';

export interface FollowUp {
  readonly id: string;
  readonly text: string;
  /** Conditions whose presence answers it. */
  readonly answeredBy: readonly string[];
}

export interface Condition {
  readonly id: string;
  /** As the intake heads it, and the id of that heading. */
  readonly group: string;
  readonly groupId: string;
  readonly label: string;
  /** The question in plain words. */
  readonly ask: string;
  /** The question in the other languages of clients; needed where it is asked at the intake. */
  readonly otherAsks?: Readonly<Partial<Record<LanguageId, string>>> | undefined;
  readonly askAt: readonly ('intake' | 'visit')[];
  readonly locatable: Locatable;
  readonly dated: boolean;
  readonly tags: readonly string[];
  readonly effects: readonly Effect[];
  readonly defaultRegions?: readonly string[];
  readonly followUps?: readonly FollowUp[];
  readonly clearanceValidDays?: number;
  readonly drainageFinding?: string;
  readonly oilConditions?: readonly string[];
  /** Present without being named: under that age in years, or from it on. */
  readonly impliedWhen?: { readonly ageUnder?: number; readonly ageFrom?: number };
}

export interface Modality {
  readonly id: string;
  readonly label: string;
  readonly description: string;
  readonly requires: Requirements;
  readonly reach: 'all' | readonly string[];
  readonly baseline: Limits;
}

export interface RuleWhen {
  readonly allOf?: readonly string[];
  readonly anyOf?: readonly string[];
  readonly allTags?: readonly string[];
  readonly anyTag?: readonly string[];
  readonly ageFrom?: number;
  readonly ageUnder?: number;
  readonly modalitiesAll?: readonly string[];
  readonly lacks?: string;
  readonly sameLimb?: boolean;
}

/** Findings that mean more together than each by itself. */
export interface CombinationRule {
  readonly id: string;
  readonly label: string;
  readonly when: RuleWhen;
  readonly effects: readonly Effect[];
}

export interface RedFlag {
  readonly id: string;
  readonly ask: string;
  readonly action: 'stop-urgent' | 'refer-same-day' | 'postpone';
  readonly condition: ConditionId;
  /** The sentence for the client. */
  readonly say: string;
}

export interface Qualification {
  readonly id: string;
  readonly label: string;
  readonly implies: readonly string[];
}

/** A limb and the quarter of the trunk that shares its drains; names of territories without their side. */
export interface Family {
  readonly id: string;
  readonly limb: readonly string[];
  readonly quadrant: readonly string[];
}

/** Everything that screening knows, as it ships. */
export interface ScreeningTables {
  readonly modalities: readonly Modality[];
  readonly conditions: readonly Condition[];
  readonly rules: readonly CombinationRule[];
  readonly redFlags: readonly RedFlag[];
  readonly qualifications: readonly Qualification[];
  readonly families: readonly Family[];
  /** The skin that stands for a node group that was marked. */
  readonly basinSkin: Readonly<Record<string, readonly string[]>>;
  readonly limitKeys: Readonly<Record<string, LimitRule>>;
}

export function worseOf(a: Decision, b: Decision): Decision {
  return rankOf(a) >= rankOf(b) ? a : b;
}

export function rankOf(decision: Decision): number {
  return decisions.indexOf(decision);
}
