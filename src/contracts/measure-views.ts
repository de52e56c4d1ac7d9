import type { TapeProtocol } from '../core/swelling/protocol';
import type { ReferralLevel } from '../core/swelling/referral';
import type { ClientMeasuring, MeasuringSettings } from '../core/swelling/settings';
import type { ObservationKind, ObservationValue } from './measures';
import type { TapingView, VisitView } from './visit-views';

/** What pages of measuring and looking back hand to islands. */

type Observed<K extends ObservationKind> = {
  readonly key: number;
  readonly kind: K;
  readonly phase: 'before' | 'after';
  readonly place: string | null;
  readonly value: ObservationValue<K>;
  readonly takenAt: string;
  readonly visitId: number | null;
  readonly by: number | null;
};
/** Something felt, seen or said; the kind decides the shape of its value. */
export type ObservationView = { [K in ObservationKind]: Observed<K> }[ObservationKind];

export interface FlagView {
  readonly id: number;
  readonly rule: string;
  readonly level: ReferralLevel;
  readonly why: string;
  readonly raised: string;
  readonly isOfThisVisit: boolean;
}

export interface PhotoView {
  readonly id: number;
  readonly fileId: number;
  readonly pose: string;
  readonly phase: 'before' | 'after';
  readonly date: string;
  readonly takenAt: string;
  readonly isOfThisVisit: boolean;
}

/** The error that the one who tapes has shown in pairs of readings; volumes in mL. */
export type OwnErrors = Readonly<
  Partial<Record<'arm' | 'leg', { readonly pairs: number; readonly mdc95: number; readonly isShifted: boolean }>>
>;

/** Everything that the Measure view opens with. */
export interface MeasureView {
  readonly visit: VisitView;
  readonly house: MeasuringSettings;
  readonly client: ClientMeasuring;
  readonly protocols: readonly TapeProtocol[];
  /** Newest taping of each limb of this visit, before and after. */
  readonly tapings: readonly TapingView[];
  /** Earlier tapings before the work, newest first, one a limb. */
  readonly lastTapings: readonly (TapingView & { readonly date: string })[];
  /** Starting points: the first taping on record, or the one marked as baseline, one a limb. */
  readonly baselines: readonly (TapingView & { readonly date: string })[];
  readonly observations: readonly ObservationView[];
  /** The newest of each kind and place from earlier visits. */
  readonly lastObservations: readonly ObservationView[];
  /** The first of each kind and place, where the course began. */
  readonly firstObservations: readonly ObservationView[];
  readonly photos: readonly PhotoView[];
  readonly flags: readonly FlagView[];
  readonly ownErrors: OwnErrors;
  /** What the skin did after the last visit, when it was more than expected. */
  readonly lastReaction: string | null;
  /** Body weight when it was last taken. */
  readonly lastWeight: { readonly kg: number; readonly date: string } | null;
}
