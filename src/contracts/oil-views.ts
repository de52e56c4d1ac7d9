import { currencyIds } from '../core/money';
import { languageIds } from '../core/language';
import { z } from 'zod';
import { DropsOnSkinShape, FreshnessShape, OilClientShape, PatchStateShape, ReorderLineShape } from './shapes/oils';
import { BlendInput } from './oil-house';
import { patchReadings } from '../core/oils/patch-test';

export const BottleView = z.object({
  state: z.enum(['in-use', 'empty', 'discarded']),
  note: z.string(),
  id: z.number(),
  kind: z.enum(['essential', 'carrier']),
  /** Id in the book. */
  oil: z.string(),
  lot: z.string(),
  /** null: still closed. */
  openedOn: z.string().nullable(),
  /** What the maker printed; null: nothing. */
  printedOn: z.string().nullable(),
  sizeMl: z.number(),
  leftMl: z.number(),
  /** What the whole bottle cost, in hundredths of the house's money. */
  costCents: z.number(),
  /** Counted on this bottle; null: the table's figure. */
  dropsPerMl: z.number().nullable(),
  bestBefore: z.string().nullable(),
  freshness: FreshnessShape,
  words: z.string(),
});
export type BottleView = z.infer<typeof BottleView>;

/** An essential oil or a carrier of the house, all bottles together; what is old is not counted on. */
export const ShelfEntry = z.object({
  oil: z.string(),
  bottles: z.number(),
  leftMl: z.number(),
  /** Of a full bottle. */
  leftShare: z.number(),
  dropsPerMl: z.number().nullable(),
  centsPerMl: z.number(),
  freshness: z.union([FreshnessShape, z.literal('out')]),
  /** What to say of it; empty where all is well. */
  words: z.string(),
});
export type ShelfEntry = z.infer<typeof ShelfEntry>;

export const HouseBlendView = z.object({
  id: z.number(),
  blend: BlendInput,
  /** Bottles of it that are mixed and still good. */
  ready: z
    .array(
      z.object({
        mixId: z.number(),
        leftMl: z.number(),
        useBy: z.string(),
      }),
    )
    .readonly(),
});
export type HouseBlendView = z.infer<typeof HouseBlendView>;

export const PatchView = z.object({
  id: z.number(),
  what: z.string(),
  placedAt: z.string(),
  state: PatchStateShape,
  /** When it is to be read next, in words. */
  due: z.string(),
  readings: z
    .array(
      z.object({
        readAt: z.string(),
        reading: z.enum(patchReadings),
        note: z.string(),
      }),
    )
    .readonly(),
});
export type PatchView = z.infer<typeof PatchView>;

/** Who the blend is for, with what decides about it. */
export const OilClientView = z.object({
  id: z.number(),
  name: z.string(),
  initials: z.string(),
  client: OilClientShape,
  /** Why no scent at all; empty where there may be some. */
  unscentedWhy: z.string(),
  /** Places that take unscented oil only, in words. */
  unscentedPlaces: z.string(),
  needsPatchTest: z.boolean(),
  patch: PatchView.nullable(),
  /** What matters for oils, in words. */
  about: z.array(z.string()).readonly(),
  likes: z.string(),
  dislikes: z.string(),
  skinType: z.string().nullable(),
  surfaceM2: z.number().nullable(),
});
export type OilClientView = z.infer<typeof OilClientView>;

/** What somebody may do with oils. */
export const OilScope = z.object({
  mayBlend: z.boolean(),
  mayLayer: z.boolean(),
  why: z.string(),
});
export type OilScope = z.infer<typeof OilScope>;

export const OilNeed = z.object({
  ml: z.number(),
  cm2: z.number(),
  minutes: z.number(),
  cup: z.enum(['scalp', 'neck']).optional(),
});
export type OilNeed = z.infer<typeof OilNeed>;

export const VisitBlendView = z.object({
  blend: BlendInput,
  /** What is in it, in words. */
  words: z.string(),
  mix: z
    .object({
      id: z.number(),
      isMixed: z.boolean(),
    })
    .nullable(),
  pouredFrom: z.number().nullable(),
});
export type VisitBlendView = z.infer<typeof VisitBlendView>;

/** What a visit carries. */
export const VisitBlends = z.partialRecord(z.enum(['body', 'face']), VisitBlendView);
export type VisitBlends = z.infer<typeof VisitBlends>;

export const OilVisitView = z.object({
  id: z.number(),
  time: z.string(),
  work: z.string(),
  needs: z.object({
    body: OilNeed.nullable(),
    face: OilNeed.nullable(),
  }),
  chosen: z.object({
    body: VisitBlendView.nullable(),
    face: VisitBlendView.nullable(),
  }),
  /** Drops straight onto the skin that the blend comes to, as planned or as counted. */
  onSkin: DropsOnSkinShape.nullable(),
});
export type OilVisitView = z.infer<typeof OilVisitView>;

export const UsedBlend = z.object({
  date: z.string(),
  blend: BlendInput,
  /** What the client said of the scent, in words; empty: was not asked. */
  said: z.string(),
});
export type UsedBlend = z.infer<typeof UsedBlend>;

export const OilBenchView = z.object({
  currency: z.enum(currencyIds),
  today: z.string(),
  shelf: z.array(ShelfEntry).readonly(),
  carriers: z.array(ShelfEntry).readonly(),
  blends: z.array(HouseBlendView).readonly(),
  visits: z
    .array(
      z.object({
        id: z.number(),
        client: z.string(),
        time: z.string(),
      }),
    )
    .readonly(),
  visit: OilVisitView.nullable(),
  client: OilClientView.nullable(),
  scope: OilScope,
  usedBefore: z.array(UsedBlend).readonly(),
});
export type OilBenchView = z.infer<typeof OilBenchView>;

export const StockView = z.object({
  currency: z.enum(currencyIds),
  today: z.string(),
  bottles: z.array(BottleView).readonly(),
  reorder: z.array(ReorderLineShape).readonly(),
  mixes: z
    .array(
      z.object({
        id: z.number(),
        name: z.string(),
        leftMl: z.number(),
        useBy: z.string(),
      }),
    )
    .readonly(),
});
export type StockView = z.infer<typeof StockView>;

export const MixView = z.object({
  id: z.number(),
  blend: BlendInput,
  state: z.enum(['mixing', 'mixed', 'given-up']),
  counted: z.record(z.string(), z.number()),
  client: z
    .object({
      id: z.number(),
      name: z.string(),
      initials: z.string(),
    })
    .nullable(),
  visitId: z.number().nullable(),
  useBy: z.string().nullable(),
  costCents: z.number(),
  currency: z.enum(currencyIds),
  /** Out of which bottles each part comes. */
  from: z
    .array(
      z.object({
        oil: z.string(),
        lots: z.array(z.string()).readonly(),
        shortMl: z.number(),
      }),
    )
    .readonly(),
  label: z
    .array(
      z.object({
        look: z.enum(['title', 'text', 'small']),
        text: z.string(),
      }),
    )
    .readonly(),
  /** Sizes on which the label fits. */
  fits: z.array(z.string()).readonly(),
  language: z.enum(languageIds),
  aftercare: z.array(z.string()).readonly(),
});
export type MixView = z.infer<typeof MixView>;

/** What a row of an imported shelf comes to. */
export const ShelfImportView = z.object({
  bottles: z.number(),
  /** Of these, what is on the shelf already and stays as it is. */
  known: z.number(),
  added: z.number(),
  troubles: z
    .array(
      z.object({
        row: z.number(),
        message: z.string(),
      }),
    )
    .readonly(),
});
export type ShelfImportView = z.infer<typeof ShelfImportView>;

export const DropScaleView = z.object({
  isOn: z.boolean(),
  /** null: nothing that can be read. */
  grams: z.number().nullable(),
  words: z.string(),
});
export type DropScaleView = z.infer<typeof DropScaleView>;
