import { measureWords } from './measure.words';
import { figuresOfEight } from '../../catalogue/swelling/protocols.data';
import type { TapingView } from '../../contracts/visit-views';
import type { LimbVolume } from '../../core/swelling/limb-volume';
import { areSidesSwappedSinceLast, hasChangedALot } from '../../core/swelling/since-last';
import type { SettledTaping } from '../../core/swelling/taping';
import { isDoubt, warningKey } from '../../core/swelling/taping-context';
import { formatNumber, fromCm, type LengthUnit, toCm } from '../../core/units';
import type { TapeSide } from './tape-cells';

/** A number, or a whole side, that wants a second look. */
export interface Doubt {
  readonly key: string;
  readonly message: string;
  /** Index of the point; null: concerns a side or both. */
  readonly at: number | null;
  readonly side: TapeSide | null;
  /** What one key press would put right. */
  readonly mend: 'unit' | 'swap' | null;
}

interface Run {
  readonly positionsCm: readonly number[];
  readonly unit: LengthUnit;
  readonly volume: LimbVolume | undefined;
  readonly settled: SettledTaping;
  readonly last: TapingView | null;
  readonly eight: { readonly kind: 'hand' | 'ankle' | null; readonly cm: Readonly<Record<TapeSide, number | null>> };
}

const samePointCm = 0.01;

/** Everything on the tape that looks wrong: the core's entry checks, and what only this screen can compare. */
export function doubtsOf(run: Run): readonly Doubt[] {
  const { settled, last, positionsCm, unit } = run;
  const indexOf = (cm: number) => positionsCm.findIndex((x) => Math.abs(x - cm) < samePointCm);
  const fromCore = (run.volume?.warnings ?? [])
    .filter(({ code }) => isDoubt(code))
    .map((warning): Doubt => {
      const cm = warning.position === null ? null : toCm(warning.position, unit);
      const side = /-(affected|reference)$/.exec(warning.code)?.[1] as TapeSide | undefined;
      return {
        key: warningKey(warning.code, cm),
        message: warning.message,
        at: cm === null ? null : indexOf(cm),
        side: side ?? null,
        mend: warning.code.startsWith('unit-suspect') ? 'unit' : warning.code === 'sides-swapped' ? 'swap' : null,
      };
    });
  return [...fromCore, ...disagreeing(settled, positionsCm), ...sinceLast(run, last), ...eights(run)];
}

function disagreeing(settled: SettledTaping, positionsCm: readonly number[]): readonly Doubt[] {
  return (['reference', 'affected'] as const).flatMap((side) =>
    settled.unresolved[side].map((at): Doubt => ({
      key: warningKey(`readings-differ-${side}`, positionsCm[at] ?? 0),
      message: measureWords.theTwoReadingsDifferTapeA,
      at,
      side,
      mend: null,
    })),
  );
}

/** Last time's girths (cm) at the points of this run. */
export function lastGirthsCm(last: TapingView, positionsCm: readonly number[]) {
  const at = (side: TapeSide) =>
    positionsCm.map((cm) => {
      const i = last.positions.findIndex((x) => Math.abs(toCm(x, last.unit) - cm) < samePointCm);
      const girth = i < 0 ? null : (last[side][i] ?? null);
      return girth === null ? null : toCm(girth, last.unit);
    });
  return { affected: at('affected'), reference: at('reference') };
}

function sinceLast({ settled, positionsCm, unit }: Run, last: TapingView | null): readonly Doubt[] {
  if (!last) return [];
  const was = lastGirthsCm(last, positionsCm);
  const cm = (side: TapeSide) => settled[side].map((girth) => (girth === null ? null : toCm(girth, unit)));
  const now = { affected: cm('affected'), reference: cm('reference') };
  const isSwapped = areSidesSwappedSinceLast({
    affectedNow: now.affected,
    referenceNow: now.reference,
    affectedBefore: was.affected,
    referenceBefore: was.reference,
  });
  if (isSwapped)
    return [
      {
        key: 'swapped-since-last',
        message: measureWords.theSidesLookSwappedComparedWith,
        at: null,
        side: null,
        mend: 'swap',
      },
    ];
  return (['reference', 'affected'] as const).flatMap((side) =>
    now[side].flatMap((girth, at): Doubt[] => {
      const before = was[side][at] ?? null;
      if (girth === null || before === null || !hasChangedALot(girth, before)) return [];
      const text = formatNumber(fromCm(before, unit), unit === 'in' ? 2 : 1);
      const message = measureWords.changedALotSinceLastTime(text);
      return [{ key: warningKey(`changed-${side}`, positionsCm[at] ?? 0), message, at, side, mend: null }];
    }),
  );
}

function eights({ eight, unit }: Run): readonly Doubt[] {
  if (eight.kind === null) return [];
  const [least, most] = figuresOfEight[eight.kind].rangeCm;
  return (['reference', 'affected'] as const).flatMap((side): Doubt[] => {
    const cm = eight.cm[side];
    if (cm === null || (cm >= least && cm <= most)) return [];
    const range = [least, most].map((x) => formatNumber(fromCm(x, unit), 0)).join(' to ');
    const message = measureWords.aFigureOfEightHereIs(range, unit);
    return [{ key: `eight-${side}`, message, at: null, side, mend: null }];
  });
}
