import type { TherapistId } from '../../core/ids';
import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import type { OwnErrors } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import { volumeLimitMl } from '../../core/swelling/detectable';
import { isShifted, measurementError } from '../../core/swelling/measurement-error';
import { type MeasuringSettings, usualMeasuring, type VolumeSettings } from '../../core/swelling/settings';
import { duplicateVolumes } from '../../core/swelling/taping';
import type { Db } from '../db/connection';
import type { TapingRow } from '../db/schema';
import { listTapings, newestDoubleTapings, toTaping } from './tapings.repository';

type By = Pick<TapingView, 'limb' | 'therapistId'>;

/** What a change between two tapings has to exceed (mL): by the house's figures and the later therapist's own error. */
export type ChangeLimits = (earlier: Pick<By, 'therapistId'>, later: By) => number;

export const limitsBy =
  (
    house: Pick<MeasuringSettings, 'detectable'> = usualMeasuring,
    ownErrors: ReadonlyMap<number, OwnErrors> = new Map(),
  ): ChangeLimits =>
  (earlier, later) =>
    volumeLimitMl(detectableChanges, house.detectable, later.limb, {
      isSameTherapist: earlier.therapistId === later.therapistId,
      own: later.therapistId === null ? undefined : ownErrors.get(later.therapistId)?.[later.limb],
    });

/** The own errors of whoever took these tapings. */
export async function readErrorsOf(
  db: Db,
  settings: VolumeSettings,
  tapings: readonly { readonly recorded_by: TherapistId | null }[],
): Promise<ReadonlyMap<number, OwnErrors>> {
  const ids = [...new Set(tapings.flatMap(({ recorded_by }) => recorded_by ?? []))];
  return new Map(await Promise.all(ids.map(async (id) => [id, await readOwnErrors(db, id, settings)] as const)));
}

/** The limits for tapings by these therapists. */
export const readChangeLimits = async (
  db: Db,
  house: MeasuringSettings,
  settings: VolumeSettings,
  tapings: Parameters<typeof readErrorsOf>[2],
): Promise<ChangeLimits> => limitsBy(house, await readErrorsOf(db, settings, tapings));

/** As many of the newest as tell how somebody tapes now. */
const newestPairs = 60;

/** By house: the errors of the newest pairs. A taping is never changed, only replaced, so the same pairs say the same. */
const knownErrors = new WeakMap<Db, Map<string, OwnErrors>>();
const mostKnown = 40;

/** What a therapist's own pairs of readings say of their error, by limb. */
export async function readOwnErrors(db: Db, therapistId: TherapistId, settings: VolumeSettings): Promise<OwnErrors> {
  const pairs = await newestDoubleTapings(db, therapistId, newestPairs);
  if (pairs.length === 0) return {};
  const known = knownErrors.get(db) ?? new Map<string, OwnErrors>();
  knownErrors.set(db, known);
  const key = JSON.stringify([pairs, settings]);
  const rows = () =>
    listTapings(
      db,
      pairs.map(({ id }) => id),
    );
  const errors = known.get(key) ?? errorsOf(await rows(), settings);
  if (known.size >= mostKnown) known.clear();
  known.set(key, errors);
  return errors;
}

function errorsOf(rows: readonly TapingRow[], settings: VolumeSettings): OwnErrors {
  const errors: Partial<Record<By['limb'], NonNullable<OwnErrors['arm']>>> = {};
  for (const limb of ['arm', 'leg'] as const) {
    const pairs = rows
      .filter((row) => row.limb === limb)
      .flatMap((row) => duplicateVolumes(toTaping(row, null), settings));
    const error = measurementError(pairs);
    if (error) errors[limb] = { pairs: pairs.length, mdc95: error.mdc95, isShifted: isShifted(pairs) };
  }
  return errors;
}
