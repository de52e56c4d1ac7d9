import type { VisitId } from '../../core/ids';
import { screeningBook } from '../../catalogue/screening/screening';
import type { ObservationView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import { pregnancyOn } from '../../core/screening/pregnancy';
import { daysBetween } from '../../core/calendar/days';
import { compareTapings } from '../../core/swelling/compare-tapings';
import { largestGirthDifferenceCm } from '../../core/swelling/definitions';
import { pittingGrade } from '../../core/swelling/pitting';
import type { Increase, Signs } from '../../core/swelling/referral';
import type { ClientMeasuring, VolumeSettings } from '../../core/swelling/settings';
import { isDoubt, warningKey } from '../../core/swelling/taping-context';
import { trendOf } from '../../core/swelling/trend';
import { toCm } from '../../core/units';
import type { ChangeLimits } from './change-limits';
import { isoDay } from '../shared/house-clock';
import type { VisitRecord } from '../visits/visit-record';
import { measuresAnswers } from './measures.answers';

/** What is on record of a client's measures, oldest first. */
export interface MeasuredClient {
  readonly tapings: readonly TapingView[];
  readonly observations: readonly ObservationView[];
  readonly measuring: ClientMeasuring;
  readonly settings: VolumeSettings;
  readonly limits: ChangeLimits;
}

const neighbouringCm = 2;

/** The signs that a visit shows: what was said at the check, found, felt, and measured against earlier visits. */
export function signsOf(visit: VisitRecord, client: MeasuredClient): Signs {
  const day = isoDay(visit.startsAt);
  const today = client.observations.filter((one) => one.visitId === visit.id);
  const earlier = client.observations.filter((one) => one.visitId !== visit.id && isoDay(one.takenAt) <= day);
  const taping = client.tapings.findLast((one) => one.visitId === visit.id && one.phase === 'before');
  const settled = taping && isSettled(taping) ? taping : undefined;
  const last = settled && lastOf(client.tapings, settled, visit.id);
  return {
    ...ofRecord(visit, day),
    ...ofObservations(today, earlier),
    ...(settled ? ofTaping(settled) : {}),
    ...(settled && last ? { increase: increaseOf(last, settled, client) } : {}),
    ...ofWeight(client.tapings, visit.id, day),
    ...ofCourse(client),
    ...(client.measuring.wasAssessed === null ? {} : { wasSwellingAssessed: client.measuring.wasAssessed }),
  };
}

/** Whole, and without a number that still has to be looked at: a slip of the finger raises no alarm. */
function isSettled(taping: TapingView): boolean {
  const isWhole = [...taping.affected, ...taping.reference].every((girth) => girth !== null);
  const open = (taping.volume?.warnings ?? []).filter(
    ({ code, position }) =>
      isDoubt(code) &&
      !taping.context.confirmed.includes(warningKey(code, position === null ? null : toCm(position, taping.unit))),
  );
  return isWhole && open.length === 0;
}

function lastOf(tapings: readonly TapingView[], now: TapingView, visitId: VisitId): TapingView | undefined {
  return tapings.findLast(
    (one) =>
      one.limb === now.limb &&
      one.side === now.side &&
      one.phase !== 'after' &&
      one.visitId !== visitId &&
      one.takenAt < now.takenAt,
  );
}

function increaseOf(last: TapingView, now: TapingView, client: MeasuredClient): Increase {
  const alone = (taping: TapingView) => ({ ...taping, reference: taping.positions.map(() => null) });
  const limitMl = client.limits(last, now);
  const change = compareTapings(alone(last), alone(now), limitMl, client.settings);
  const rises = now.positions.map((x, i) => {
    const k = last.positions.findIndex((y) => Math.abs(toCm(y, last.unit) - toCm(x, now.unit)) < 0.01);
    const [was, is] = [last.affected[k] ?? null, now.affected[i] ?? null];
    return was !== null && is !== null && toCm(is, now.unit) - toCm(was, last.unit) >= neighbouringCm - 1e-9;
  });
  return {
    days: daysBetween(isoDay(last.takenAt), isoDay(now.takenAt)),
    volumePercent: change ? (100 * change.ml) / change.fromMl : null,
    volumeMl: change?.ml ?? null,
    isGirthUpAtTwoPoints: rises.some((isUp, i) => isUp && rises[i + 1]),
    isBeyondError: change !== undefined && change.ml > 0 && change.beyond,
  };
}

function ofTaping(taping: TapingView): Signs {
  const cm = (girths: readonly (number | null)[]) => girths.map((c) => (c === null ? null : toCm(c, taping.unit)));
  const difference = largestGirthDifferenceCm(cm(taping.affected), cm(taping.reference));
  return {
    limb: taping.limb,
    isSwollen: (taping.volume?.excessPercent ?? 0) >= 5,
    ...(taping.volume?.excessPercent == null ? {} : { excessPercent: taping.volume.excessPercent }),
    ...(difference === null ? {} : { girthDifferenceCm: difference }),
    ...(taping.limb === 'leg' && difference !== null ? { calfGirthDifferenceCm: calfDifference(taping) } : {}),
  };
}

/** Girths between the ankle's upper third and the knee: about where a calf is measured, a hand below the knee. */
const calfCm = [20, 32] as const;

function calfDifference(taping: TapingView): number {
  const at = taping.positions.flatMap((x, i) => {
    const cm = toCm(x, taping.unit);
    return cm >= calfCm[0] && cm <= calfCm[1] ? [i] : [];
  });
  const pick = (girths: readonly (number | null)[]) =>
    at.map((i) => {
      const girth = girths[i] ?? null;
      return girth === null ? null : toCm(girth, taping.unit);
    });
  return largestGirthDifferenceCm(pick(taping.affected), pick(taping.reference)) ?? 0;
}

const newFrom = 3;

function ofObservations(today: readonly ObservationView[], earlier: readonly ObservationView[]): Signs {
  const values = <K extends ObservationView['kind']>(list: readonly ObservationView[], kind: K) =>
    list.flatMap((one) => (one.kind === kind ? [one as Extract<ObservationView, { kind: K }>] : []));
  const most = (numbers: readonly number[]) => (numbers.length > 0 ? Math.max(...numbers) : undefined);
  const scores = values(today, 'scores').at(-1)?.value;
  const before = values(earlier, 'scores').at(-1)?.value;
  const isNew = (now: number | null | undefined, was: number | null | undefined) =>
    now != null && now >= newFrom && (was == null || was < newFrom) ? now : undefined;
  const pits = values(today, 'pitting').map((one) => ({
    side: one.place?.split('.')[1],
    grade: pittingGrade(one.value),
  }));
  const pittedSides = new Set(pits.filter(({ grade }) => grade > 0).map(({ side }) => side));
  const pressedSides = new Set(pits.map(({ side }) => side));
  const skin = values(today, 'limb-skin');
  const signs = {
    redness: most(values(today, 'redness').map((one) => one.value.grade)),
    isRednessSpreading: values(today, 'redness').some((one) => one.value.isSpreading) || undefined,
    warmerC: most(values(today, 'temperature').map((one) => one.value.hereC - one.value.mirrorC)),
    pain: scores?.pain ?? undefined,
    calfPain: scores?.calfPain ?? undefined,
    newHeavinessOrTightness: most(
      [isNew(scores?.heaviness, before?.heaviness), isNew(scores?.tightness, before?.tightness)].filter(
        (score) => score !== undefined,
      ),
    ),
    isPittingOnOneSide: pressedSides.size > 1 ? pittedSides.size === 1 : undefined,
    isSkinOpenOrWeeping:
      skin.some((one) => one.value.marks.some((mark) => mark === 'weeping' || mark === 'broken')) || undefined,
    hasSmell: skin.some((one) => one.value.hasSmell) || undefined,
    bruising: most(values(today, 'bruising').map((one) => one.value.grade)),
    capillaryFragility: most(values(today, 'skin').flatMap((one) => one.value.fragility ?? [])),
  };
  return Object.fromEntries(Object.entries(signs).filter(([, value]) => value !== undefined));
}

const cancerGroup = measuresAnswers.cancerAndItsTreatment;
const procedureGroup = measuresAnswers.recentProcedures;

function ofRecord(visit: VisitRecord, day: string): Signs {
  const groupOf = (id: string) => screeningBook.conditions.get(id)?.group;
  const said = (id: string) => visit.answers[id] === 'yes';
  const surgery = visit.stored
    .filter(({ id, sinceOn }) => groupOf(id) === procedureGroup && sinceOn?.length === 10)
    .map(({ sinceOn }) => daysBetween(sinceOn ?? day, day) / 7);
  const pregnancy = visit.dueOn === null ? undefined : pregnancyOn(visit.dueOn, day);
  return {
    hasCancerHistory: visit.stored.some(({ id }) => groupOf(id) === cancerGroup),
    takesBloodThinners: visit.stored.some(({ id }) => id === 'anticoagulants' || id === 'antiplatelets'),
    ...(surgery.length > 0 ? { weeksAfterSurgery: Math.min(...surgery) } : {}),
    ...(pregnancy ? { weeksPregnant: pregnancy.weeks } : {}),
    ...(said('fever-today') ? { temperatureC: 38 } : {}),
    ...(said('wound-trouble') ? { isWoundOpenOrDischarging: true } : {}),
    ...(said('spreading-redness') ? { isRednessSpreading: true } : {}),
    ...(said('new-lump') ? { hasNewLumpOrSkinChange: true } : {}),
    ...(said('one-sided-swelling') ? { isNewlySwollen: true } : {}),
  };
}

function ofWeight(tapings: readonly TapingView[], visitId: VisitId, day: string): Signs {
  const weights = tapings.flatMap((one) =>
    one.context.weightKg === null ? [] : [{ visitId: one.visitId, day: isoDay(one.takenAt), kg: one.context.weightKg }],
  );
  const now = weights.findLast((one) => one.visitId === visitId);
  if (!now) return {};
  const since = (days: number) => {
    const before = weights.filter((one) => one.day < day && daysBetween(one.day, day) <= days);
    return before.length > 0 ? now.kg - Math.min(...before.map(({ kg }) => kg)) : undefined;
  };
  const [three, seven] = [since(3), since(7)];
  return {
    ...(three === undefined ? {} : { weightUpIn3DaysKg: three }),
    ...(seven === undefined ? {} : { weightUpIn7DaysKg: seven }),
  };
}

function ofCourse({ tapings }: MeasuredClient): Signs {
  const points = tapings.flatMap((one) =>
    one.phase === 'before' && one.volume?.excessMl != null
      ? [{ date: isoDay(one.takenAt), value: one.volume.excessMl }]
      : [],
  );
  const trend = trendOf(points);
  const [first, last] = [points[0], points.at(-1)];
  if (!trend || !first || !last) return {};
  return { isExcessRising: trend.direction === 'rising', daysOfCare: daysBetween(first.date, last.date) };
}
