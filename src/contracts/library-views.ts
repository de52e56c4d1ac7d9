import { z } from 'zod';
import { ProtocolShape, TechniqueShape } from './shapes/library';

export interface Entry<T> {
  readonly value: T;
  readonly origin: Origin;
  /** 0: as it ships. */
  readonly version: number;
  readonly differences: readonly Difference[];
}

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

export const LibraryView = z.object({
  techniques: z
    .array(
      z.object({
        value: TechniqueShape,
        origin: Origin,
        /** 0: as it ships. */
        version: z.number(),
        differences: z.array(Difference).readonly(),
      }),
    )
    .readonly(),
  protocols: z
    .array(
      z.object({
        value: ProtocolShape,
        origin: Origin,
        /** 0: as it ships. */
        version: z.number(),
        differences: z.array(Difference).readonly(),
        seconds: z.number(),
      }),
    )
    .readonly(),
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
  /** Techniques that the reader's training does not cover, which are not shown. */
  hidden: z.number(),
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
      }),
    )
    .readonly(),
});
export type ImportedLibrary = z.infer<typeof ImportedLibrary>;
