import type { Minutes, Percent } from '../quantities';
import { facialModalities } from '../library/protocol';
import type { Purpose } from '../drainage/case';
import { addDays } from '../calendar/days';
import type { TrendDirection } from '../swelling/trend';
import { visitSays } from './visit.says';

/** What tells when to come again. */
export interface NextVisitFacts {
  readonly today: string;
  readonly purpose: Purpose;
  /** Kinds of work that were given today. */
  readonly modalities: readonly string[];
  /** Of the excess of the limb that swells; null: not measured. */
  readonly trend: TrendDirection | null;
  /** Part of what a visit takes away that is still gone at the next one (%); null: not known yet. */
  readonly retentionPercent: Percent | null;
  /** Usual days between the last visits; null: this is one of the first. */
  readonly usualDays: number | null;
  /** Work that may be given so often in seven days, and how often it was, today included. */
  readonly perWeek: readonly { readonly label: string; readonly times: number; readonly most: number }[];
  /** Minutes until today's redness had gone; −1: not yet; null: none, or not looked. */
  readonly fadeMinutes: Minutes | null;
  readonly wantedLighter: boolean;
  /** Who would give it, and the days of the week on which they do not work: 1 Monday … 7 Sunday. */
  readonly therapist: { readonly name: string; readonly daysOff: readonly number[] };
}

export interface NextVisit {
  readonly date: string;
  readonly days: number;
  readonly why: readonly string[];
}

const weekDays = 7;
const monthDays = 28;
const decongestingDays = 3;
/** From here on a visit holds well. */
const wellKeptPercent = 70;
const slowFadeMinutes = 60;

const isSkinWork = (modality: string) => facialModalities.has(modality) || modality === 'scalp-ritual';

/**
 * When to come again: by how the swelling goes and holds, by the kind of work, by what was usual; later where the skin
 * needs its time. A proposal, never a prescription.
 */
export function nextVisit(facts: NextVisitFacts): NextVisit {
  const { today, usualDays, perWeek, fadeMinutes, wantedLighter, therapist } = facts;
  const base = baseOf(facts);
  const waits = [
    ...(fadeMinutes !== null && (fadeMinutes < 0 || fadeMinutes > slowFadeMinutes)
      ? [{ days: weekDays, why: visitSays.theSkinWasRedForLong }]
      : []),
    ...perWeek
      .filter(({ times, most }) => times >= most)
      .map(({ label, most }) => ({
        days: weekDays,
        why: visitSays.atMostInSevenDays(label, most === 1 ? 'once' : visitSays.times(most)),
      })),
  ];
  const wanted = Math.max(base.days, ...waits.map((wait) => wait.days));
  // Later rather than sooner: what has to wait still does.
  const days = nextDayIn(today, wanted, therapist.daysOff);
  return {
    date: addDays(today, days),
    days,
    why: [
      base.why,
      ...waits.map(({ why }) => why),
      ...(days > wanted
        ? [visitSays.isNotInBefore(therapist.name, days - wanted === 1 ? visitSays.theDay : visitSays.theDays)]
        : []),
      ...(usualDays !== null && Math.abs(usualDays - days) > 2 ? [visitSays.soFarItWasEveryDays(usualDays)] : []),
      ...(wantedLighter ? [visitSays.aLighterHandWasAskedFor] : []),
    ],
  };
}

/** The first of the days from then on that is worked on; that day itself for somebody who is never in. */
function nextDayIn(today: string, days: number, daysOff: readonly number[]): number {
  const ahead = Array.from({ length: weekDays }, (_, i) => days + i);
  return ahead.find((day) => !daysOff.includes(weekdayOf(addDays(today, day)))) ?? days;
}

/** 1 Monday … 7 Sunday. */
const weekdayOf = (date: string) => new Date(`${date}T12:00:00Z`).getUTCDay() || weekDays;

function baseOf({ purpose, modalities, trend, retentionPercent, usualDays }: NextVisitFacts): {
  readonly days: number;
  readonly why: string;
} {
  if (purpose === 'swelling') {
    const holds = retentionPercent !== null && retentionPercent >= wellKeptPercent;
    const kept = retentionPercent === null ? '' : visitSays.andOfAVisitStillHolds(Math.round(retentionPercent));
    if (trend === 'rising') return { days: decongestingDays, why: visitSays.theExcessIsRisingComeSoon(kept) };
    if (trend === 'falling')
      return holds
        ? { days: weekDays, why: visitSays.theExcessIsFallingAWeek(kept) }
        : { days: decongestingDays, why: visitSays.theExcessIsFallingStayClose(kept) };
    if (trend === 'steady')
      return holds
        ? { days: 2 * weekDays, why: visitSays.theExcessIsSteadyEverySecond(kept) }
        : { days: weekDays, why: visitSays.theExcessIsSteadyAWeek(kept) };
    return { days: weekDays, why: visitSays.noTrendOfTheExcessYet };
  }
  if (purpose === 'after-procedure') return { days: decongestingDays, why: visitSays.afterAProcedureEveryFewDays };
  if (purpose === 'puffy-face' || purpose === 'sinus')
    return { days: weekDays, why: visitSays.faceAndSinusesOnceAWeek };
  if (usualDays !== null) return { days: usualDays, why: visitSays.asItIsUsedToEvery(usualDays) };
  const why = modalities.some(isSkinWork) ? visitSays.skinRenewsInAboutFourWeeks : visitSays.forWellBeingOnceAMonth;
  return { days: monthDays, why };
}
