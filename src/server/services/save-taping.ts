import type { TapingInput } from '../../contracts/record';
import type { TapingView } from '../../contracts/views';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { insertTaping, latestTaping } from '../repositories/visits';
import { readVisitFrame } from './read-visit';
import { type Actor, type SaveRefusal, advance } from './saving';
import { volumeOf, withVolume } from './taping-volume';

/** Stores a taping as a new version; raw girths are never overwritten. */
export async function saveTaping(
  db: Db,
  visitId: number,
  input: TapingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly taping: TapingView } | SaveRefusal> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return { kind: 'not-found' };
  const errors = tapingErrors(input);
  if (errors.length > 0) return { kind: 'refused', errors };
  return db.transaction().execute(async (trx) => {
    const known = await latestTaping(trx, visitId, input.phase);
    if ((known?.version ?? 0) !== input.basedOn) return { kind: 'edited-elsewhere' } as const;
    await insertTaping(
      trx,
      visitId,
      input.basedOn + 1,
      input,
      volumeOf(input),
      actor.therapistId,
      actor.now.toISOString(),
    );
    if (input.phase === 'before') await advance(trx, visitId, visit.stage, 'measure');
    const saved = await latestTaping(trx, visitId, input.phase);
    if (!saved) throw new Error('a taping vanished inside its own transaction');
    return { kind: 'saved', taping: withVolume(saved) } as const;
  });
}

function tapingErrors(input: TapingInput): FieldError[] {
  const errors: FieldError[] = [];
  for (const side of ['affected', 'reference'] as const) {
    if (input[side].length !== input.positions.length)
      errors.push({
        path: side,
        message: `There are ${input[side].length} girths for ${input.positions.length} positions.`,
      });
  }
  const step = input.positions.findIndex((x, i) => i > 0 && x <= (input.positions[i - 1] ?? 0));
  if (step > 0) errors.push({ path: `positions.${step}`, message: 'Positions must rise from the zero mark.' });
  const limitCm = input.unit === 'in' ? 400 / 2.54 : 400;
  for (const side of ['affected', 'reference'] as const) {
    input[side].forEach((girth, i) => {
      if (girth !== null && girth >= limitCm)
        errors.push({
          path: `${side}.${i}`,
          message: `No ${input.limb} measures ${girth} ${input.unit}: check the unit or the decimal point.`,
        });
    });
  }
  return errors;
}
