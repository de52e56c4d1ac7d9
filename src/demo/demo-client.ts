import type { LanguageId } from '../core/language';
import type { Minutes } from '../core/quantities';
import type { BlendInput } from '../contracts/oil-house';
import type { LikesInput } from '../contracts/record';
import type { Purpose } from '../core/drainage/case';
import type { LineKind } from '../core/facial/line';
import type { NewFinding } from '../server/screening/findings.repository';

export interface DemoFinding extends NewFinding {
  /** The event lies so many days before today; instead of a date. */
  readonly daysAgo?: number;
  /** A note that was written so many days before today. */
  readonly clearedDaysAgo?: {
    readonly days: number;
    readonly by: string;
    readonly words: string;
    readonly modalities: 'all' | readonly string[];
  };
}

export interface DemoClient {
  readonly name: string;
  readonly bornOn: string;
  readonly phone: string;
  readonly note: string;
  readonly email?: string;
  readonly heightCm?: number;
  /** What the client reads; left out: as the house does. */
  readonly language?: LanguageId;
  readonly likes?: Partial<LikesInput>;
  readonly medicines?: string;
  /** Days from today to the day on which a child is due. */
  readonly dueInDays?: number;
  readonly findings: readonly DemoFinding[];
  /** The intake was answered at the first visit; without it the next one asks for it. */
  readonly hasIntake?: boolean;
  readonly focus: readonly string[];
  readonly purpose: Purpose;
  readonly minutes: Minutes;
  /** Index into the therapists. */
  readonly therapist: 0 | 1;
  /** Past visits, so many weeks apart, with tape measures where a limb swells. */
  readonly past?: {
    readonly visits: number;
    readonly everyDays: number;
    readonly limb?: 'arm' | 'leg';
    readonly side?: 'left' | 'right';
    readonly excess?: readonly [number, number];
    /** The last one was never closed: a loose end. */
    readonly isLeftOpen?: boolean;
  };
  /** What the visits hold instead of drainage: protocols of the library. */
  readonly holds?: readonly string[];
  /** The blend of the past visits, and how the scent was liked each time (−2–2), the oldest first. */
  readonly scented?: { readonly blend: BlendInput; readonly liked: readonly number[] };
  /** A patch test was placed yesterday. */
  readonly patchTest?: string;
  /** Kinds of line that were drawn on the face at the first visit, with their side. */
  readonly lines?: readonly (readonly [LineKind, 'left' | 'right'])[];
  /** Start of today's visit, local time. */
  readonly today?: string;
  /** A visit booked for a later day: days from today and start. */
  readonly ahead?: readonly [number, string];
}
