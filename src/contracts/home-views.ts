import type { HomeLog } from '../core/homecare/rhythm';
import type { HomeRoutine, HomeSheet } from '../core/homecare/sheet';
import type { HomeWish } from './home';
import type { VisitView } from './visit-views';

/** A routine that may be offered, with what it would begin from. */
export interface HomeOffer {
  readonly routine: HomeRoutine;
  readonly title: string;
  readonly about: string;
  readonly takesSide: boolean;
}

/** A sheet that a client was given. */
export interface KeptSheet {
  readonly id: number;
  readonly title: string;
  readonly wish: HomeWish;
  readonly madeOn: string;
  readonly by: string;
  readonly isEnded: boolean;
  readonly log: HomeLog;
  /** Days on which it was done, oldest first. */
  readonly days: readonly string[];
  /** Until when a link to it works; null without one. */
  readonly linkUntil: string | null;
  readonly mostPerWeek: number;
}

export interface HomeView {
  readonly visit: VisitView;
  readonly offers: readonly HomeOffer[];
  readonly first: HomeWish;
  readonly languages: readonly { readonly id: string; readonly name: string }[];
  readonly sheets: readonly KeptSheet[];
  readonly today: string;
}

/** What the page behind a link shows: no name but the first, no illness, nothing of the record. */
export interface HomePage {
  readonly firstName: string;
  readonly house: string;
  readonly therapist: string;
  readonly phone: string;
  readonly language: string;
  readonly wish: Pick<HomeWish, 'times' | 'daysPerWeek' | 'note'>;
  readonly sheet: Omit<HomeSheet, 'leftOut'>;
  readonly linkUntil: string;
  /** Days ticked in the last seven days. */
  readonly thisWeek: readonly string[];
  readonly mostPerWeek: number;
  readonly today: string;
  /** From which day it may be done again; null: today. */
  readonly againFrom: string | null;
}
