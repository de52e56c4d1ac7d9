import type { Minutes } from '../quantities';
import { warningKind } from './warning-texts';

/** Before surgery or the first treatment, before and after the work of a visit, or apart from any. */
export const tapingPhases = ['baseline', 'before', 'after', 'follow-up'] as const;
export type TapingPhase = (typeof tapingPhases)[number];

/** What departs from the rules of taping; ticked, never forbidden. */
export const tapingTicks = ['compression-just-off', 'heat', 'exercise', 'over-dressing'] as const;
export type TapingTick = (typeof tapingTicks)[number];

/** Under what a taping was taken. */
export interface TapingContext {
  /** Figure-of-eight of hand or foot, in the unit of the taping; a series of its own. */
  readonly eight: { readonly affected: number | null; readonly reference: number | null };
  readonly weightKg: number | null;
  readonly restMinutes: Minutes | null;
  readonly marks: 'fresh' | 'left-on' | null;
  readonly ticks: readonly TapingTick[];
  readonly note: string;
  /** Warnings that the therapist has looked into, by code and position: “taped again, it is right”. */
  readonly confirmed: readonly string[];
}

export const plainContext: TapingContext = {
  eight: { affected: null, reference: null },
  weightKg: null,
  restMinutes: null,
  marks: null,
  ticks: [],
  note: '',
  confirmed: [],
};

/** A warning as it is confirmed; positions are told in cm, so that a change of unit confirms nothing else. */
export const warningKey = (code: string, positionCm: number | null) =>
  positionCm === null ? code : `${code}@${Math.round(positionCm * 100) / 100}`;

/** Whether a warning asks for a second look: the others only say what was done about a gap. */
export const isDoubt = (code: string) => !explanations.has(warningKind(code));

const explanations: ReadonlySet<string> = new Set([
  'trimmed',
  'interpolated',
  'simpson-unequal-pair',
  'simpson-odd-segments',
  'dominance-ignored',
]);
