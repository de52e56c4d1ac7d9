import { measureWords } from './measure.words';
import type { Millilitres, Percent } from '../../core/quantities';
import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import { swellingDefinitions } from '../../catalogue/swelling/definitions.data';
import type { MeasureView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import { compareTapings, type TapingChange } from '../../core/swelling/compare-tapings';
import { type DefinitionVerdict, judgeByDefinition, largestGirthDifferenceCm } from '../../core/swelling/definitions';
import { volumeLimitMl } from '../../core/swelling/detectable';
import { limbChange } from '../../core/swelling/limb-change';
import type { Limb } from '../../core/swelling/entry-checks';
import type { VolumeSettings } from '../../core/swelling/settings';
import type { Pass } from '../../core/swelling/taping';
import { tapingVolume } from '../../core/swelling/taping';
import { type LengthUnit, toCm } from '../../core/units';

/** A taping as far as it can be judged; raw girths, whatever the unit. */
export interface Judged extends Pass {
  readonly limb: Limb;
  readonly side: 'left' | 'right';
  readonly unit: LengthUnit;
  readonly positions: readonly number[];
}

/** The smallest change of a limb's volume that counts (mL): one's own error once ten pairs stand behind it. */
function limitMl(view: MeasureView, limb: Limb, isSameTherapist: boolean): number {
  return volumeLimitMl(detectableChanges, view.house.detectable, limb, { isSameTherapist, own: view.ownErrors[limb] });
}

/** Change since a taping, in mL of the excess where both sides were taped, with what has to be exceeded. */
export function changeSince(
  view: MeasureView,
  earlier: TapingView,
  now: Judged,
  settings: VolumeSettings,
  isSameVisit: boolean,
): TapingChange | undefined {
  const mdcMl = isSameVisit ? 0 : limitMl(view, now.limb, earlier.therapistId === view.visit.therapist.id);
  return compareTapings(earlier, now, mdcMl, settings);
}

/** Change from the starting point with what the other limb, or the weight, explains taken out; null where it cannot be told. */
export function baselineChange(
  baseline: TapingView | undefined,
  now: Judged,
  weightKg: number | null,
  method: VolumeSettings['method'] = 'frustum',
) {
  const none = { rvc: null, wac: null };
  if (!baseline || baseline.limb !== now.limb || baseline.side !== now.side) return none;
  // Dominance cancels and does not enter.
  const plain: VolumeSettings = { method, tapeSigmaCm: 0, dominanceCorrectionPercent: 0, hand: 'none' };
  const shared = now.positions.flatMap((x, i) => {
    const k = baseline.positions.findIndex((y) => Math.abs(toCm(y, baseline.unit) - toCm(x, now.unit)) < 0.01);
    const isWhole = k >= 0 && [now.affected[i], baseline.affected[k]].every((girth) => girth != null);
    return isWhole ? [{ i, k, cm: toCm(x, now.unit) }] : [];
  });
  const isOtherThere = shared.every(({ i, k }) => now.reference[i] != null && baseline.reference[k] != null);
  const measure = (taping: Judged, at: readonly number[]) => {
    const cm = (girths: readonly (number | null)[]) => at.map((j) => toCm(girths[j] ?? 0, taping.unit));
    const result = tapingVolume(
      {
        limb: taping.limb,
        side: taping.side,
        unit: 'cm',
        positions: shared.map((one) => one.cm),
        affected: cm(taping.affected),
        reference: isOtherThere ? cm(taping.reference) : at.map(() => null),
      },
      plain,
    );
    return result.ok ? result.value : undefined;
  };
  const [was, is] = [
    measure(
      baseline,
      shared.map(({ k }) => k),
    ),
    measure(
      now,
      shared.map(({ i }) => i),
    ),
  ];
  if (!was || !is) return none;
  const before = { affectedMl: was.affectedMl, unaffectedMl: was.referenceMl, weightKg: baseline.context.weightKg };
  const after = { affectedMl: is.affectedMl, unaffectedMl: is.referenceMl, weightKg };
  const value = (mode: 'rvc' | 'wac') => {
    const change = limbChange(before, after, mode);
    return change.ok ? change.value : null;
  };
  return { rvc: value('rvc'), wac: value('wac') };
}

/** Every named definition held against the limb, the house's own first. */
export function verdictsOf(
  view: MeasureView,
  now: Judged,
  volume: { readonly excessPercent: Percent | null; readonly excessMl: Millilitres | null },
  change: ReturnType<typeof baselineChange>,
): readonly DefinitionVerdict[] {
  const cm = (girths: Pass['affected']) => girths.map((girth) => (girth === null ? null : toCm(girth, now.unit)));
  const quantities = {
    excessPercent: volume.excessPercent,
    excessMl: volume.excessMl,
    girthDifferenceCm: largestGirthDifferenceCm(cm(now.affected), cm(now.reference)),
    rvcPercent: change.rvc?.changePercent ?? null,
    wacPercent: change.wac?.changePercent ?? null,
  };
  return [...swellingDefinitions]
    .sort((a, b) => Number(b.id === view.house.definition) - Number(a.id === view.house.definition))
    .map((definition) => judgeByDefinition(definition, now.limb, quantities));
}

const mostHoursApart = 3;

/** What makes two tapings less comparable, in words. */
export function caveatsOf(
  earlier: TapingView,
  now: { readonly takenAt: Date; readonly view: MeasureView; readonly ticks: readonly string[] },
) {
  const was = new Date(earlier.takenAt);
  const hours = (at: Date) => at.getHours() + at.getMinutes() / 60;
  const apart = Math.abs(hours(was) - hours(now.takenAt));
  return [
    Math.min(apart, 24 - apart) > mostHoursApart ? measureWords.differentTimeOfDay : '',
    earlier.therapistId !== null && earlier.therapistId !== now.view.visit.therapist.id
      ? measureWords.differentTherapist
      : '',
    now.ticks.length > 0 || earlier.context.ticks.length > 0 ? measureWords.notAsTheRulesOfTaping : '',
  ].filter(Boolean);
}
