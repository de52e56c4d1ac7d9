import type { ClientBrief, Stage, StageOrEnd, TherapistView } from './people-views';

export interface DayVisit {
  readonly id: number;
  readonly time: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly stage: StageOrEnd;
  readonly client: ClientBrief;
  readonly therapist: TherapistView;
  readonly work: string;
  readonly line: string;
  readonly tasks: readonly {
    readonly text: string;
    readonly when: string;
    readonly done: boolean;
    readonly stage: Stage;
    /** Not usual at every visit: shown also when the visit is not the next one. */
    readonly isPressing: boolean;
  }[];
}

export interface DayView {
  readonly title: string;
  readonly date: string;
  readonly now: string;
  readonly house: string;
  readonly week: readonly {
    readonly date: string;
    readonly weekday: string;
    readonly day: string;
    readonly visits: number;
    readonly isToday: boolean;
  }[];
  readonly visits: readonly DayVisit[];
  readonly looseEnds: readonly { readonly text: string; readonly href: string; readonly what: string }[];
  /** Those who treat see what was found and go into visits; the front desk sees when people come and how to reach them. */
  readonly mayTreat: boolean;
  /** Messages of the outbox that are due or went wrong. */
  readonly outbox: { readonly due: number; readonly failed: number };
  /** The same weekday a week before and after. */
  readonly before: string;
  readonly after: string;
  readonly therapists: readonly TherapistView[];
}
