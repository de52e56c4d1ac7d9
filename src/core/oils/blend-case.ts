import type { Drops, Millilitres, Percent } from '../quantities';
import type { OilId } from '../ids';
import type { Area, Basis, BlendPart } from './book';
import type { Guide, OilClient } from './client';
import type { Share } from './limits';
import type { OnSkin } from './on-skin';

export interface BlendCase {
  readonly volumeMl: Millilitres;
  readonly area: Area;
  readonly client: OilClient;
  readonly parts: readonly BlendPart[];
  readonly basis: Basis;
  /** What lies on the client's skin already, of today; other areas do not count. */
  readonly already?: readonly OnSkin[] | undefined;
}

export interface CheckedPart extends Share {
  readonly oil: OilId;
  readonly drops: Drops;
  readonly ml: Millilitres;
}

export type BlendFacts = Omit<BlendJudgement, 'verdict' | 'findings'>;

export interface BlendFinding {
  readonly code: FindingCode;
  readonly severity: 'over' | 'caution';
  readonly oil: OilId | null;
  readonly constituent: string | null;
  /** What is wrong, and what would mend it. */
  readonly text: string;
}

export interface BlendJudgement {
  readonly parts: readonly CheckedPart[];
  readonly constituents: readonly (Share & { readonly id: string })[];
  readonly phototoxic: { readonly sumOfFractions: number; readonly hoursOutOfSun: number };
  readonly totalPercent: Percent;
  readonly verdict: 'ok' | 'caution' | 'over';
  readonly findings: readonly BlendFinding[];
  readonly withinGuide: boolean;
  readonly guide: Guide;
}

export const findingCodes = [
  'over-oil-limit',
  'over-constituent-limit',
  'over-phototoxic-sum',
  'avoid',
  'near-limit',
  'above-guide',
] as const;

export type FindingCode = (typeof findingCodes)[number];
