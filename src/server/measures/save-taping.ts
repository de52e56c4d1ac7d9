import type { VisitId } from '../../core/ids';
import type { TapingInput } from '../../contracts/record';
import type { FlagView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import type { FieldError } from '../../core/result';
import { settleTaping } from '../../core/swelling/taping';
import { toCm } from '../../core/units';
import type { Db } from '../db/connection';
import { insertTaping, latestTaping } from './tapings.repository';
import { isoDay } from '../shared/house-clock';
import { raiseFlags } from '../screening/raise-flags';
import { readVisitFrame } from '../visits/read-visit';
import type { VisitRecord } from '../visits/visit-record';
import { type Actor, type SaveRefusal, advance } from '../shared/saving';
import { readVolumeSettings, volumeOf, withVolume } from './taping-volume';
import { measuresAnswers } from './measures.answers';

/** What was measured on the day of the visit was measured now; what is entered later belongs to its visit. */
export const takenAt = (visit: Pick<VisitRecord, 'startsAt'>, now: Date) =>
  isoDay(now.toISOString()) === isoDay(visit.startsAt) ? now.toISOString() : visit.startsAt;

/** Stores a taping as a new version; raw girths are never overwritten. */
export async function saveTaping(
  db: Db,
  visitId: VisitId,
  input: TapingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly taping: TapingView; readonly flags: readonly FlagView[] } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const errors = tapingErrors(input);
  if (errors.length > 0) return { kind: 'refused', errors };
  const settings = await readVolumeSettings(db, visit.client.id);
  const { source, basedOn, ...taping } = input;
  const settled = settleTaping({ ...taping, first: taping });
  return db.transaction().execute(async (trx) => {
    const known = await latestTaping(trx, visitId, input.phase, input.limb);
    if ((known?.version ?? 0) !== basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertTaping(trx, {
      clientId: visit.client.id,
      visitId,
      takenAt: known?.taken_at ?? takenAt(visit, actor.now),
      version: basedOn + 1,
      taping,
      source,
      volume: volumeOf({ ...taping, ...settled }, settings),
      by: actor.therapistId,
      now: actor.now.toISOString(),
    });
    if (input.phase === 'before') await advance(trx, visitId, visit.stage, 'measure');
    const saved = await latestTaping(trx, visitId, input.phase, input.limb);
    if (!saved) throw new Error('a taping vanished inside its own transaction');
    const flags = await raiseFlags(trx, visit, actor);
    return { kind: 'saved', taping: withVolume(saved, settings), flags } as const;
  });
}

const longestGirthCm = 400;

/** What single fields cannot tell: lists that do not belong together, and girths that no limb has in that unit. */
function tapingErrors(
  input: Pick<TapingInput, 'positions' | 'affected' | 'reference' | 'second' | 'third' | 'unit' | 'limb'>,
): FieldError[] {
  const errors: FieldError[] = [];
  const step = input.positions.findIndex((x, i) => i > 0 && x <= (input.positions[i - 1] ?? 0));
  if (step > 0) errors.push({ path: `positions.${step}`, message: measuresAnswers.positionsMustRiseFromTheZero });
  const passes = [
    ['', input],
    ['second.', input.second],
    ['third.', input.third],
  ] as const;
  for (const [path, pass] of passes) {
    for (const side of pass ? (['affected', 'reference'] as const) : []) {
      const girths = pass?.[side] ?? [];
      if (girths.length !== input.positions.length)
        errors.push({
          path: `${path}${side}`,
          message: measuresAnswers.thereAreGirthsForPositions(girths.length, input.positions.length),
        });
      girths.forEach((girth, i) => {
        if (girth !== null && toCm(girth, input.unit) >= longestGirthCm)
          errors.push({
            path: `${path}${side}.${i}`,
            message: measuresAnswers.noMeasuresCheckTheUnitOr(input.limb, girth, input.unit),
          });
      });
    }
  }
  return errors;
}
