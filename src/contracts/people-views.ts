import type { PlaceId } from '../core/anatomy/place';
import type { QualificationId } from '../core/drainage/case';
import type { Finding } from '../core/drainage/finding';
import type { Locatable } from '../core/screening/tables';
import type { ClearanceView } from './screening-views';

/** What pages hand to islands: plain data, times as ISO UTC text, clock times in the house’s own zone as `14:00`. */

export const stages = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;

export type Stage = (typeof stages)[number];

export type StageOrEnd = Stage | 'done' | 'stopped';

export interface TherapistView {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
  readonly title: string;
  readonly room: string;
  readonly qualifications: readonly QualificationId[];
}

/** The person signed in. */
export interface MeView {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
  readonly title: string;
  readonly role: 'owner' | 'therapist' | 'assistant';
  readonly hasPin: boolean;
  /** In the demo house: everybody, to go in as by one click; empty elsewhere. */
  readonly people: readonly { readonly id: number; readonly name: string; readonly title: string }[];
}

export interface ClientBrief {
  readonly id: number;
  readonly name: string;
  readonly age: number | null;
  /** A few words that fit a glance; neutral. */
  readonly about: string;
}

/** A finding on the record, in the words of screening. */
export interface PlacedFinding {
  readonly key: number;
  /** A condition of the screening, or `thickened` from the assessment. */
  readonly id: string;
  readonly label: string;
  /** A few words with side and places. */
  readonly words: string;
  readonly locatable: Locatable;
  readonly side?: 'left' | 'right' | 'both' | undefined;
  readonly regions?: readonly PlaceId[] | undefined;
  readonly crosses?: readonly (readonly PlaceId[])[] | undefined;
  /** A year, a year and month, or a whole date. */
  readonly sinceOn: string | null;
  readonly note: string;
  readonly isUnsure: boolean;
  readonly source: 'therapist' | 'client';
  readonly answers: Readonly<Record<string, string>>;
  readonly clearance: ClearanceView | null;
  /** What the planner of drainage makes of it; null: nothing. */
  readonly drainage: Finding | null;
}
