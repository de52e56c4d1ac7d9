import type { Minutes } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import { type Decision, type Pressure, pressures, worseOf } from '../screening/tables';

export interface ScreenedDecision {
  readonly decision: Decision;
  /** Worst first, in words. */
  readonly reasons: readonly string[];
}

/** What screening hands to the planner of drainage: decisions, places and limits, for one client and one therapist. */
export interface ScreenedDrainage {
  readonly drainage: ScreenedDecision;
  /** For leading fluid round closed groups; counts as soon as a plan does so. */
  readonly rerouting: ScreenedDecision;
  /** Territories at which drainage is stopped: not touched, and nothing is led across them. */
  readonly keptOff: readonly PlaceId[];
  /** Firmest pressure anywhere. */
  readonly maxPressure?: Pressure;
  /** Firmest pressure where it is less than that. */
  readonly lighterAt: Readonly<Record<PlaceId, Pressure>>;
  readonly maxMinutes?: Minutes;
  /** How the client may not lie. */
  readonly avoidPosition?: readonly string[];
}

/** The firmest pressure that screening allows on all of some places; undefined when it sets none. */
export function allowedPressure(
  screened: ScreenedDrainage | undefined,
  places: readonly PlaceId[],
): Pressure | undefined {
  const limits = [screened?.maxPressure, ...places.map((id) => screened?.lighterAt[id])].filter((p) => p !== undefined);
  return limits.length === 0 ? undefined : pressures[Math.min(...limits.map((p) => pressures.indexOf(p)))];
}

/** The decision of screening on a plan that reroutes, or does not. */
export function screenedDecision(
  screened: ScreenedDrainage | undefined,
  isRerouting: boolean,
): ScreenedDecision | undefined {
  if (!screened || !isRerouting) return screened?.drainage;
  const { drainage, rerouting } = screened;
  return {
    decision: worseOf(drainage.decision, rerouting.decision),
    reasons: [...new Set([...drainage.reasons, ...rerouting.reasons])],
  };
}
