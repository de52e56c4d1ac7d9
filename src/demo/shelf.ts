import type { ClientId, TherapistId, VisitId } from '../core/ids';
import { addDays } from 'date-fns';
import { oilBook } from '../catalogue/oils/oils';
import type { BlendInput, BottleInput } from '../contracts/oil-house';
import type { Db } from '../server/db/connection';
import { insertBlend, insertMix, setMixed, setVisitBlend } from '../server/oils/blends.repository';
import { insertBottle, insertDraw } from '../server/oils/oils.repository';
import { insertPatchTest } from '../server/oils/patch-tests.repository';
import { isoDay } from '../server/shared/house-clock';
import { eveningBlend, faceBlend, warmBlend } from './blends.data';
import { seededRandom } from '../core/random';

/** Oil, size in mL, part that is left, days since it was opened (null: closed), price of the bottle in cents. */
const essentials: readonly (readonly [string, number, number, number | null, number])[] = [
  ['lavender', 30, 0.62, 210, 1890],
  ['lavender', 30, 1, null, 1890],
  ['marjoram-sweet', 10, 0.55, 160, 940],
  ['mandarin', 10, 0.7, 90, 720],
  ['orange-sweet', 30, 0.8, 60, 880],
  ['lemon', 10, 0.45, 402, 690],
  ['bergamot', 10, 0.5, 590, 1150],
  ['bergamot-fcf', 10, 0.85, 40, 1290],
  ['chamomile-roman', 5, 0.9, 75, 2460],
  ['ylang-ylang', 10, 0.66, 200, 1340],
  ['rose-absolute', 2, 0.5, 120, 3900],
  ['geranium', 10, 0.4, 240, 990],
  ['neroli', 2, 0.95, 30, 4200],
  ['cedarwood-atlas', 10, 0.9, 150, 680],
  ['vetiver', 10, 0.35, 420, 1420],
  ['frankincense', 10, 0.22, 300, 1680],
  ['patchouli', 10, 0.75, 500, 760],
  ['sandalwood-australian', 5, 0.8, 180, 3300],
  ['ginger', 10, 0.82, 100, 1080],
  ['rosemary-cineole', 10, 0.6, 260, 720],
  ['eucalyptus-radiata', 10, 0.5, 190, 640],
  ['peppermint', 10, 0.7, 140, 690],
  ['lemongrass', 10, 0.88, 110, 560],
  ['wintergreen', 10, 0.93, 330, 720],
];

const carriers: readonly (readonly [string, number, number, number | null, number])[] = [
  ['jojoba', 500, 0.6, 120, 2900],
  ['grapeseed', 1000, 0.45, 80, 1400],
  ['almond-sweet', 500, 0.7, 60, 1250],
  ['rice-bran', 500, 0.8, 50, 1350],
  ['mct', 1000, 0.75, 200, 1600],
  ['squalane', 100, 0.5, 140, 1900],
  ['cream-unscented', 250, 0.4, 30, 1100],
];

/** A shelf with what a house has: most of it good, a bergamot that is old, a lemon that turns. */
export async function fillShelf(db: Db, now: Date): Promise<void> {
  const random = seededRandom(71);
  const at = now.toISOString();
  const row =
    (kind: BottleInput['kind']) =>
    async ([oil, sizeMl, share, days, costCents]: (typeof essentials)[number]): Promise<void> => {
      const bottle: BottleInput = {
        ...{ kind, oil, sizeMl, costCents, dropsPerMl: null, state: 'in-use', note: '' },
        lot: `${String.fromCharCode(65 + Math.floor(random() * 20))}${Math.floor(100 + random() * 900)}`,
        openedOn: days === null ? null : isoDay(addDays(now, -days).toISOString()),
        printedOn: null,
        leftMl: Math.round(sizeMl * share * 100) / 100,
      };
      const id = await insertBottle(db, bottle, at);
      // What went in the last weeks, so that the reorder list knows the pace.
      const went = (sizeMl - bottle.leftMl) * (kind === 'carrier' ? 0.5 : 0.2);
      if (days !== null && went > 0)
        await insertDraw(db, { bottle: id, ml: went }, 'mixed', {
          ...{ mixId: null, therapistId: 1, now: addDays(now, -14).toISOString() },
        });
    };
  for (const oil of essentials) await row('essential')(oil);
  for (const carrier of carriers) await row('carrier')(carrier);
  for (const blend of [eveningBlend, warmBlend, faceBlend])
    await insertBlend(db, blend, 1, addDays(now, -30).toISOString());
  const mixId = await insertMix(
    db,
    { blend: eveningBlend, clientId: null, visitId: null },
    addDays(now, -6).toISOString(),
  );
  await setMixed(db, mixId, {
    ...{ costCents: 410, leftMl: 72, by: 1, now: addDays(now, -6).toISOString() },
    useBy: isoDay(addDays(now, 80).toISOString()),
  });
  for (const { oil } of eveningBlend.parts)
    if (!oilBook.oils.has(oil)) throw new Error(`the demo blend names ${oil}, which is not in the catalogue`);
}

/** A patch test that is to be read today. */
export async function placeDemoPatch(db: Db, clientId: ClientId, what: string, now: Date): Promise<void> {
  await insertPatchTest(db, { clientId, what }, 1, addDays(now, -1).toISOString());
}

/** What a past visit carried for the body. */
export async function carryBlend(
  db: Db,
  visitId: VisitId,
  blend: BlendInput,
  therapistId: TherapistId,
  at: string,
): Promise<void> {
  const volumeMl = 13;
  const parts = blend.parts.map((part) => ({ ...part, drops: Math.round((part.drops * volumeMl) / blend.volumeMl) }));
  const carried = { ...blend, volumeMl, parts: parts.filter(({ drops }) => drops > 0) };
  await setVisitBlend(db, visitId, { area: 'body', blend: carried, mixId: null, pouredFrom: null }, therapistId, at);
}
