import type { Millilitres } from '../../core/quantities';
import { swellingDefinitions } from '../../catalogue/swelling/definitions.data';
import type { CoursePoint, CourseResponse, LimbCourse } from '../../contracts/progress-views';
import type { TapingView } from '../../contracts/visit-views';
import { median } from '../../core/statistics';
import { judgeChange } from '../../core/swelling/change';
import { type LeftOut, type SeriesPoint, seriesOf } from '../../core/swelling/course';
import { judgeByDefinition, largestGirthDifferenceCm } from '../../core/swelling/definitions';
import type { LimbVolume } from '../../core/swelling/limb-volume';
import { excessReductionPercent, limbChange } from '../../core/swelling/limb-change';
import { responsesOf, retentionOf, type TreatedVisit } from '../../core/swelling/retention';
import type { MeasuringSettings, VolumeSettings } from '../../core/swelling/settings';
import { isDoubt, warningKey } from '../../core/swelling/taping-context';
import { bestAndWorst, type Confidence, type DatedValue, trendOf } from '../../core/swelling/trend';
import { toCm } from '../../core/units';
import type { ChangeLimits } from './change-limits';
import { isoDay, shortDay } from '../shared/house-clock';
import { measuresAnswers } from './measures.answers';

type Point = SeriesPoint<TapingView>;

const leftOutWords: Readonly<Record<LeftOut, string>> = {
  'other-points': measuresAnswers.tapedByOtherPoints,
  'too-short': measuresAnswers.coversTooLittleOfTheLimb,
  'too-few-points': measuresAnswers.tooFewPointsOrAGap,
};

/** The courses of a client, one for each limb and side that was taped; the one taped last first. */
export function coursesOf(
  tapings: readonly TapingView[],
  house: MeasuringSettings,
  settings: VolumeSettings,
  limits: ChangeLimits,
  baselineOn: string | null,
): readonly LimbCourse[] {
  const keys = [...new Set(tapings.map((one) => `${one.limb} ${one.side}`))].reverse();
  return keys.flatMap((key) => {
    const own = tapings.filter((one) => `${one.limb} ${one.side}` === key);
    const series = seriesOf(own, settings);
    if (!series) return [];
    const before = series.points.filter(({ taping }) => taping.phase !== 'after');
    const [newest] = before.slice(-1);
    if (!newest) return [];
    const stretches = newest.volume.segments.map(({ from, to }) => ({ from, to }));
    const points = before.map((point) => toPoint(point, afterOf(series.points, point), stretches));
    const excess = points.flatMap(({ date, excessMl }): DatedValue[] =>
      excessMl === null ? [] : [{ date, value: excessMl }],
    );
    const judged = excess.length > 0 ? excess : points.map(({ date, affectedMl }) => ({ date, value: affectedMl }));
    const extremes = bestAndWorst(judged);
    const baseline = before.find(({ taping }) => isoDay(taping.takenAt) === baselineOn) ?? before[0];
    const limitMl = limits(newest.taping, newest.taping);
    return [
      {
        key,
        limb: newest.taping.limb,
        side: newest.taping.side,
        method: settings.method,
        volumeUnit: house.volumeUnit,
        fromCm: series.fromCm,
        toCm: series.toCm,
        stretches,
        points,
        leftOut: series.leftOut
          .filter(({ taping }) => taping.phase !== 'after')
          .map(({ taping, why }) => ({ day: shortDay(taping.takenAt), why: leftOutWords[why] })),
        trends: trendsOf(points, excess, house.confidence),
        limitMl,
        ...responsesIn(series.points, before),
        lowest: extremes ? dayOf(extremes.lowest, points) : null,
        highest: extremes ? dayOf(extremes.highest, points) : null,
        ...changesIn(before, baseline, limits),
        definition: definitionOf(newest, baseline, house),
      },
    ];
  });
}

/** A thousandth of a millilitre, per cent or centimetre: finer than anything that is shown or judged. */
const fine = (value: number) => Math.round(value * 1000) / 1000;
const fineOrNull = (value: number | null | undefined) => (value === null || value === undefined ? null : fine(value));

const afterOf = (all: readonly Point[], { taping }: Point) =>
  taping.visitId === null
    ? undefined
    : all.find((other) => other.taping.visitId === taping.visitId && other.taping.phase === 'after');

function toPoint({ taping, volume }: Point, after: Point | undefined, stretches: LimbCourse['stretches']): CoursePoint {
  const { eight, weightKg, confirmed } = taping.context;
  const cm = (length: number | null) => (length === null ? null : toCm(length, taping.unit));
  return {
    date: isoDay(taping.takenAt),
    day: shortDay(taping.takenAt),
    visitId: taping.visitId,
    affectedMl: fine(volume.affectedMl),
    affectedSdMl: fine(volume.affectedSdMl),
    referenceMl: fineOrNull(volume.referenceMl),
    excessMl: fineOrNull(volume.excessMl),
    excessSdMl: fineOrNull(volume.excessSdMl),
    excessPercent: fineOrNull(volume.excessPercent),
    stretchMl: stretches.map(({ from, to }) => {
      const own = volume.segments.find((one) => one.from === from && one.to === to);
      return own ? fine(own.excessMl ?? own.affectedMl) : null;
    }),
    isProvisional: volume.warnings.some(
      ({ code, position }) => isDoubt(code) && !confirmed.includes(warningKey(code, position)),
    ),
    afterMl: fineOrNull(after?.volume.affectedMl),
    afterExcessMl: fineOrNull(after?.volume.excessMl),
    eightCm: cm(eight.affected),
    otherEightCm: cm(eight.reference),
    weightKg,
  };
}

function trendsOf(
  points: readonly CoursePoint[],
  excess: readonly DatedValue[],
  confidence: Confidence,
): LimbCourse['trends'] {
  const of = (pick: (point: CoursePoint) => number | null) =>
    points.flatMap((point): DatedValue[] => {
      const value = pick(point);
      return value === null ? [] : [{ date: point.date, value }];
    });
  const trend = (series: readonly DatedValue[]) => trendOf(series, confidence) ?? null;
  return {
    excess: trend(excess),
    affected: trend(of((point) => point.affectedMl)),
    reference: trend(of((point) => point.referenceMl)),
    eight: trend(of((point) => point.eightCm)),
  };
}

function responsesIn(all: readonly Point[], before: readonly Point[]) {
  const visitsBy = (of: (volume: LimbVolume) => readonly [ml: Millilitres | null, sdMl: Millilitres | null]) =>
    before.map((point): TreatedVisit => {
      const [ml, sdMl] = of(point.volume);
      const after = afterOf(all, point);
      const [afterMl, afterSdMl] = after ? of(after.volume) : [null, null];
      const limitMl = 1.96 * Math.hypot(sdMl ?? 0, afterSdMl ?? 0);
      return { date: isoDay(point.taping.takenAt), before: ml, after: afterMl, limitMl };
    });
  const visits = visitsBy(({ affectedMl, affectedSdMl }) => [affectedMl, affectedSdMl]);
  const excess = visitsBy(({ excessMl, excessSdMl }) => [excessMl, excessSdMl]);
  const byDate = <T extends { readonly date: string }>(list: readonly T[]) =>
    new Map(list.map((one) => [one.date, one]));
  const [kept, excessKept] = [byDate(retentionOf(visits)), byDate(retentionOf(excess))];
  const excessResponses = byDate(responsesOf(excess));
  const dayBy = new Map(before.map(({ taping }) => [isoDay(taping.takenAt), shortDay(taping.takenAt)]));
  const responses = responsesOf(visits).map((one): CourseResponse => {
    const held = kept.get(one.date);
    return {
      ...one,
      day: dayBy.get(one.date) ?? one.date,
      responseMl: fine(one.responseMl),
      responsePercent: fine(one.responsePercent),
      retentionPercent: fineOrNull(held?.retentionPercent),
      days: held?.days ?? null,
      reboundMlPerDay: fineOrNull(held?.reboundMlPerDay),
      excessResponseMl: fineOrNull(excessResponses.get(one.date)?.responseMl),
      excessRetentionPercent: fineOrNull(excessKept.get(one.date)?.retentionPercent),
    };
  });
  const retentions = responses.flatMap(({ retentionPercent }) => retentionPercent ?? []);
  const medianOf = (values: readonly number[]) => (values.length > 0 ? median(values) : null);
  return {
    responses,
    medianResponseMl: medianOf(responses.map(({ responseMl }) => responseMl)),
    medianRetentionPercent: medianOf(retentions),
    retentions: retentions.length,
    medianExcessRetentionPercent: medianOf(responses.flatMap((one) => one.excessRetentionPercent ?? [])),
  };
}

const dayOf = (value: DatedValue, points: readonly CoursePoint[]) => ({
  day: points.find(({ date }) => date === value.date)?.day ?? value.date,
  ml: value.value,
});

/** Changes since the visit before and since the start, each with what it has to exceed. */
function changesIn(before: readonly Point[], baseline: Point | undefined, limits: ChangeLimits) {
  const newest = before.at(-1);
  const previous = before.at(-2);
  const valueOf = ({ volume }: Point) => volume.excessMl ?? volume.affectedMl;
  const sdOf = ({ volume }: Point) => volume.excessSdMl ?? volume.affectedSdMl;
  const judge = (from: Point, to: Point) => {
    const ml = valueOf(to) - valueOf(from);
    const { limit, beyond } = judgeChange(ml, sdOf(from), sdOf(to), limits(from.taping, to.taping));
    return { ml, limitMl: limit, isBeyond: beyond };
  };
  const last = newest && previous ? judge(previous, newest) : null;
  const first = newest && baseline && newest !== baseline ? judge(baseline, newest) : null;
  return {
    lastChangeMl: last?.ml ?? null,
    isLastChangeBeyond: last?.isBeyond ?? null,
    firstChange: first,
    reductionPercent:
      newest && baseline && baseline !== newest && baseline.volume.excessMl !== null && newest.volume.excessMl !== null
        ? excessReductionPercent(baseline.volume.excessMl, baseline.volume.excessSdMl ?? 0, newest.volume.excessMl)
        : null,
  };
}

function definitionOf(newest: Point, baseline: Point | undefined, house: MeasuringSettings): LimbCourse['definition'] {
  const definition = swellingDefinitions.find(({ id }) => id === house.definition);
  if (!definition) throw new Error(`the house uses an unknown definition, ${house.definition}`);
  const state = ({ volume, taping }: Point) => ({
    affectedMl: volume.affectedMl,
    unaffectedMl: volume.referenceMl,
    weightKg: taping.context.weightKg,
  });
  const change = (mode: 'rvc' | 'wac') => {
    if (!baseline || baseline === newest) return null;
    const result = limbChange(state(baseline), state(newest), mode);
    return result.ok ? result.value.changePercent : null;
  };
  const cm = (girths: readonly (number | null)[]) =>
    girths.map((girth) => (girth === null ? null : toCm(girth, newest.taping.unit)));
  const { value, isMet } = judgeByDefinition(definition, newest.taping.limb, {
    excessPercent: newest.volume.excessPercent,
    excessMl: newest.volume.excessMl,
    girthDifferenceCm: largestGirthDifferenceCm(cm(newest.taping.affected), cm(newest.taping.reference)),
    rvcPercent: change('rvc'),
    wacPercent: change('wac'),
  });
  return { short: definition.short, isMet, value };
}
