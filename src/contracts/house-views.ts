import type { MeasuringInput } from './measures';
import type { AskView } from './ask-views';
import type { MeView, TherapistView } from './people-views';

/** What the owner sees to, and the outbox: plain data for the pages of the house. */

/** Somebody of the house, as the owner sees them. */
export interface PersonView extends TherapistView {
  readonly role: MeView['role'];
  readonly login: string;
  readonly canSignIn: boolean;
  readonly hasPin: boolean;
  readonly leftOn: string | null;
  /** Weekday 1 (Monday) to 7 → start and end. Empty: the house's usual hours. */
  readonly hours: Readonly<Record<string, readonly [string, string]>>;
}

export interface AuditView {
  readonly entries: readonly {
    readonly id: number;
    readonly when: string;
    readonly by: string;
    readonly action: string;
    readonly detail: string;
    readonly subject: string;
    readonly clientId: number | null;
  }[];
  readonly hasMore: boolean;
}

/** What the owner sees to. */
export interface HouseView {
  readonly name: string;
  readonly phone: string;
  readonly people: readonly PersonView[];
  readonly qualifications: readonly { readonly id: string; readonly label: string }[];
  readonly wording: AskView['wording'] & { readonly since: string };
  readonly audit: AuditView;
  readonly measuring: MeasuringInput;
}

/** A message of the outbox. */
export interface ReminderView {
  readonly id: number;
  readonly visitId: number;
  readonly client: string;
  readonly channel: 'text' | 'mail';
  readonly address: string;
  readonly words: string;
  readonly due: string;
  readonly isDue: boolean;
  readonly state: 'waiting' | 'sent' | 'failed' | 'cancelled';
  readonly trouble: string;
  readonly settled: string;
}
