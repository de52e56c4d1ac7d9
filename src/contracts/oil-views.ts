import type { OilClient } from '../core/oils/client';
import type { PatchReading, PatchState } from '../core/oils/patch-test';
import type { Ageing, Bottle, ReorderLine } from '../core/oils/stock';
import type { BlendInput, BottleInput } from './oil-house';

export interface BottleView extends Bottle, Ageing {
  readonly state: BottleInput['state'];
  readonly note: string;
}

/** An essential oil or a carrier of the house, all bottles together; what is old is not counted on. */
export interface ShelfEntry {
  readonly oil: string;
  readonly bottles: number;
  readonly leftMl: number;
  /** Of a full bottle. */
  readonly leftShare: number;
  readonly dropsPerMl: number | null;
  readonly centsPerMl: number;
  readonly freshness: Ageing['freshness'] | 'out';
  /** What to say of it; empty where all is well. */
  readonly words: string;
}

export interface HouseBlendView {
  readonly id: number;
  readonly blend: BlendInput;
  /** Bottles of it that are mixed and still good. */
  readonly ready: readonly { readonly mixId: number; readonly leftMl: number; readonly useBy: string }[];
}

/** Who the blend is for, with what decides about it. */
export interface OilClientView {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
  readonly client: OilClient;
  /** Why no scent at all; empty where there may be some. */
  readonly unscentedWhy: string;
  /** Places that take unscented oil only, in words. */
  readonly unscentedPlaces: string;
  readonly needsPatchTest: boolean;
  readonly patch: PatchView | null;
  /** What matters for oils, in words. */
  readonly about: readonly string[];
  readonly likes: string;
  readonly dislikes: string;
  readonly skinType: string | null;
  readonly surfaceM2: number | null;
}

/** What somebody may do with oils. */
export interface OilScope {
  readonly mayBlend: boolean;
  readonly mayLayer: boolean;
  readonly why: string;
}

export interface OilNeed {
  readonly ml: number;
  readonly cm2: number;
  readonly minutes: number;
}

export interface VisitBlendView {
  readonly blend: BlendInput;
  /** What is in it, in words. */
  readonly words: string;
  readonly mix: { readonly id: number; readonly isMixed: boolean } | null;
  readonly pouredFrom: number | null;
}

/** What a visit carries. */
export type VisitBlends = Readonly<Partial<Record<'body' | 'face', VisitBlendView>>>;

export interface OilVisitView {
  readonly id: number;
  readonly time: string;
  readonly work: string;
  readonly needs: { readonly body: OilNeed | null; readonly face: OilNeed | null };
  readonly chosen: { readonly body: VisitBlendView | null; readonly face: VisitBlendView | null };
}

export interface UsedBlend {
  readonly date: string;
  readonly blend: BlendInput;
  /** What the client said of the scent, in words; empty: was not asked. */
  readonly said: string;
}

export interface OilBenchView {
  readonly today: string;
  readonly shelf: readonly ShelfEntry[];
  readonly carriers: readonly ShelfEntry[];
  readonly blends: readonly HouseBlendView[];
  readonly visits: readonly { readonly id: number; readonly client: string; readonly time: string }[];
  readonly visit: OilVisitView | null;
  readonly client: OilClientView | null;
  readonly scope: OilScope;
  readonly usedBefore: readonly UsedBlend[];
}

export interface StockView {
  readonly today: string;
  readonly bottles: readonly BottleView[];
  readonly reorder: readonly ReorderLine[];
  readonly mixes: readonly {
    readonly id: number;
    readonly name: string;
    readonly leftMl: number;
    readonly useBy: string;
  }[];
}

export interface MixView {
  readonly id: number;
  readonly blend: BlendInput;
  readonly state: 'mixing' | 'mixed' | 'given-up';
  readonly counted: Readonly<Record<string, number>>;
  readonly client: { readonly id: number; readonly name: string; readonly initials: string } | null;
  readonly visitId: number | null;
  readonly useBy: string | null;
  readonly costCents: number;
  /** Out of which bottles each part comes. */
  readonly from: readonly { readonly oil: string; readonly lots: readonly string[]; readonly shortMl: number }[];
  readonly label: readonly { readonly look: 'title' | 'text' | 'small'; readonly text: string }[];
  /** Sizes on which the label fits. */
  readonly fits: readonly string[];
  readonly aftercare: readonly string[];
}

export interface PatchView {
  readonly id: number;
  readonly what: string;
  readonly placedAt: string;
  readonly state: PatchState;
  /** When it is to be read next, in words. */
  readonly due: string;
  readonly readings: readonly { readonly readAt: string; readonly reading: PatchReading; readonly note: string }[];
}

/** What a row of an imported shelf comes to. */
export interface ShelfImportView {
  readonly bottles: number;
  readonly added: number;
  readonly troubles: readonly { readonly row: number; readonly message: string }[];
}

export interface DropScaleView {
  readonly isOn: boolean;
  /** null: nothing that can be read. */
  readonly grams: number | null;
  readonly words: string;
}
