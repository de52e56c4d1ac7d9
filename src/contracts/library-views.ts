import { z } from 'zod';
import { gapKinds } from '../core/library/gaps';
import { ProtocolShape, RepetitionsShape, TechniqueShape } from './shapes/library';

/** Where an entry comes from: as it ships, shipped but changed by the house, or the house's own. */
export const Origin = z.enum(['shipped', 'changed', 'own']);
export type Origin = z.infer<typeof Origin>;

/** A field that the house has changed. */
export const Difference = z.object({
  field: z.string(),
  shipped: z.string(),
  own: z.string(),
});
export type Difference = z.infer<typeof Difference>;

const entryOf = <T>(value: z.ZodType<T>) =>
  z.object({
    value,
    origin: Origin,
    /** 0: as it ships. */
    version: z.number(),
    differences: z.array(Difference).readonly(),
  });
export type Entry<T> = z.infer<ReturnType<typeof entryOf<T>>>;

export const LibraryView = z.object({
  techniques: z.array(entryOf(TechniqueShape)).readonly(),
  protocols: z.array(entryOf(ProtocolShape).extend({ seconds: z.number() })).readonly(),
  modalities: z
    .array(
      z.object({
        id: z.string(),
        label: z.string(),
      }),
    )
    .readonly(),
  /** Regions by their name, without a side. */
  regions: z
    .array(
      z.object({
        name: z.string(),
        label: z.string(),
      }),
    )
    .readonly(),
  /** Techniques that the reader's training does not cover: what a protocol says of them, and what they ask for. */
  withheld: z
    .array(
      z.object({
        id: z.string(),
        name: z.string(),
        needs: z.enum(['licence', 'training']),
        secondsPerRepetition: z.number(),
        repetitions: RepetitionsShape,
        placements: z.number(),
        isPerRegion: z.boolean(),
      }),
    )
    .readonly(),
});
export type LibraryView = z.infer<typeof LibraryView>;

export const ImportKind = z.enum(['new', 'changed', 'same']);
export type ImportKind = z.infer<typeof ImportKind>;

/** What an import would do, or has done. */
export const ImportedLibrary = z.object({
  kind: z.literal('saved'),
  isStored: z.boolean(),
  entries: z
    .array(
      z.object({
        of: z.enum(['technique', 'protocol']),
        id: z.string(),
        name: z.string(),
        what: ImportKind,
        /** What the file does not say of it, and somebody should write. */
        gaps: z.array(z.enum(gapKinds)).readonly(),
      }),
    )
    .readonly(),
});
export type ImportedLibrary = z.infer<typeof ImportedLibrary>;
