import type { StoneCareInput, StoneHabitsInput, StoneInput } from '../../contracts/stones';
import { stoneBook } from '../../catalogue/stones/stones';
import { plausibleFullness, shapeOf } from '../../core/stones/shape';
import type { Db } from '../db/connection';
import { insertCare, insertStones, listStones, storeHabits, updateStone } from './stones.repository';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { stonesAnswers } from './stones.answers';

type Saved = { readonly kind: 'saved' } | SaveRefusal;

/** A mass that cannot belong to these measures: the wrong material, or a slip. */
function implausible({ material, massG, ...size }: StoneInput): SaveRefusal | undefined {
  if (massG === null) return undefined;
  const { fullness } = shapeOf({ ...size, massG }, stoneBook.materials[material], stoneBook.physics.thomsenExponent);
  if (fullness >= plausibleFullness.least && fullness <= plausibleFullness.most) return undefined;
  const expected = Math.round(massG / fullness);
  return {
    kind: 'refused',
    errors: [
      {
        path: 'massG',
        message: stonesAnswers.stonesOfThisSizeAndMaterial(expected),
      },
    ],
  };
}

export async function addStones(db: Db, input: StoneInput, actor: Actor): Promise<Saved> {
  const refusal = implausible(input);
  if (refusal) return refusal;
  await insertStones(db, input, actor.now.toISOString());
  return { kind: 'saved' };
}

/** Changes a stone; retiring it is on record as care. */
export async function changeStone(db: Db, id: number, input: StoneInput, actor: Actor): Promise<Saved> {
  const refusal = implausible(input);
  if (refusal) return refusal;
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await updateStone(trx, id, input, now))) return { kind: 'not-found' } as const;
    if (input.state === 'retired') await insertCare(trx, { what: 'retired', stones: [id] }, actor.therapistId, now);
    return { kind: 'saved' } as const;
  });
}

export async function logCare(db: Db, input: StoneCareInput, actor: Actor): Promise<Saved> {
  const known = new Set((await listStones(db)).map(({ id }) => id));
  const unknown = input.stones.findIndex((id) => !known.has(id));
  if (unknown >= 0)
    return { kind: 'refused', errors: [{ path: `stones.${unknown}`, message: stonesAnswers.thereIsNoSuchStone }] };
  await insertCare(db, input, actor.therapistId, actor.now.toISOString());
  return { kind: 'saved' };
}

/** How warm the house works; a swap before the first touch makes no sense. */
export async function saveHabits(db: Db, input: StoneHabitsInput, actor: Actor): Promise<Saved> {
  if (input.usefulHotC >= input.hotBathC)
    return {
      kind: 'refused',
      errors: [{ path: 'usefulHotC', message: stonesAnswers.aStoneHasToBeSwapped }],
    };
  if (input.usefulColdC <= input.coldBathC)
    return {
      kind: 'refused',
      errors: [{ path: 'usefulColdC', message: stonesAnswers.aCoolStoneHasToBe }],
    };
  await storeHabits(db, input);
  await insertAudit(db, {
    at: actor.now.toISOString(),
    by: actor.therapistId,
    action: 'stone settings changed',
    subject: 'house',
    detail: `${input.hotBathC} °C`,
  });
  return { kind: 'saved' };
}
