import type { Protocol } from '../core/library/protocol';
import type { Technique } from '../core/library/technique';

/** Where an entry comes from: as it ships, shipped but changed by the house, or the house's own. */
export type Origin = 'shipped' | 'changed' | 'own';

/** A field that the house has changed. */
export interface Difference {
  readonly field: string;
  readonly shipped: string;
  readonly own: string;
}

export interface Entry<T> {
  readonly value: T;
  readonly origin: Origin;
  /** 0: as it ships. */
  readonly version: number;
  readonly differences: readonly Difference[];
}

export interface LibraryView {
  readonly techniques: readonly Entry<Technique>[];
  readonly protocols: readonly (Entry<Protocol> & { readonly seconds: number })[];
  readonly modalities: readonly { readonly id: string; readonly label: string }[];
  /** Regions by their name, without a side. */
  readonly regions: readonly { readonly name: string; readonly label: string }[];
  /** Techniques that the reader's training does not cover, which are not shown. */
  readonly hidden: number;
}

export type ImportKind = 'new' | 'changed' | 'same';

/** What an import would do, or has done. */
export interface ImportedLibrary {
  readonly kind: 'saved';
  readonly isStored: boolean;
  readonly entries: readonly {
    readonly of: 'technique' | 'protocol';
    readonly id: string;
    readonly name: string;
    readonly what: ImportKind;
  }[];
}
