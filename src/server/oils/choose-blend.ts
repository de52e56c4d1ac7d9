import type { ClientId, VisitId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import { oilBook } from '../../catalogue/oils/oils';
import { vocabulary } from '../../catalogue/screening/screening';
import type { BlendFile, BlendInput, SmellInput, VisitBlendInput } from '../../contracts/oil-house';
import type { OilClientView, OilScope } from '../../contracts/oil-views';
import { blendViolations } from '../../core/judgement/product-violations';
import { oilOf } from '../../core/oils/book';
import type { BlendCase } from '../../core/oils/blend-case';
import { checkBlend } from '../../core/oils/check';
import { besideBlend, type DropsOnSkin } from '../../core/oils/layers';
import { adult, reasonsAgainstCarrier } from '../../core/oils/client';
import { unknownNames } from '../../core/oils/known';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import {
  findMix,
  insertBlend,
  insertSmell,
  listBlends,
  listVisitBlends,
  removeBlend,
  setVisitBlend,
} from './blends.repository';
import { changeClient, findClient, toClientData } from '../clients/clients.repository';
import { insertAudit } from '../house/audit.repository';
import { violationErrors } from '../treatments/against-judgement';
import { judgeVisit } from '../screening/judge-visit';
import { readDropsOnSkin } from './layer-facts';
import { mayNotSmell, type OilWork, oilScopeOf, oilWorkOf, readOilClient } from './oil-client';
import { readVisitFrame } from '../visits/read-visit';
import type { VisitRecord } from '../visits/visit-record';
import type { Actor, SaveRefusal } from '../shared/saving';
import { oilsAnswers } from './oils.answers';

type Saved = { readonly kind: 'saved'; readonly id: number } | SaveRefusal;

/** Without clinical training no blend of theirs is stronger (%). */
const readyMostPercent = 2;

/** Why a blend cannot be given as it is: unknown names, over a limit, not for this client, or not for this therapist. */
export function blendErrors(
  blend: BlendInput,
  of: OilClientView | undefined,
  scope: OilScope,
  ready: readonly BlendInput[],
  onSkin: DropsOnSkin | null = null,
): readonly FieldError[] {
  const unknown = unknownNames(oilBook, { carrier: blend.carrier, oils: blend.parts });
  if (unknown.length > 0) return unknown;
  const isScented = blend.parts.length > 0;
  const client = of?.client ?? adult;
  const check = checkBlend(oilBook, { ...blend, client, basis: 'max', ...alreadyOf(blend, onSkin) });
  if (!check) return [{ path: 'parts', message: oilsAnswers.theseDropsAreMoreThanThe(blend.volumeMl) }];
  const carrier = oilBook.carriers.get(blend.carrier);
  const [kept] = reasonsAgainstCarrier(blend.carrier, client);
  const isReady = ready.some((known) => isSameBlend(known, blend));
  return [
    ...(kept
      ? [{ path: 'carrier', message: oilsAnswers.isNotForThisClient(carrier?.name ?? blend.carrier, kept) }]
      : []),
    ...(blend.area === 'face' && carrier && !carrier.faceSuitable
      ? [{ path: 'carrier', message: oilsAnswers.isTooHeavyForTheFace(carrier.name) }]
      : []),
    ...(isScented && of?.unscentedWhy ? [{ path: 'parts', message: oilsAnswers.unscentedOnly2(of.unscentedWhy) }] : []),
    ...check.findings
      .filter(({ severity }) => severity === 'over')
      .map(({ text }) => ({ path: 'parts', message: text })),
    ...(isScented && !check.withinGuide
      ? [
          {
            path: 'parts',
            message: check.findings.find(({ code }) => code === 'above-guide')?.text ?? oilsAnswers.aboveWhatIsUsual,
          },
        ]
      : []),
    ...(isScented && !scope.mayBlend && !isReady ? [{ path: 'parts', message: scope.why }] : []),
    ...(isScented && !scope.mayBlend && check.totalPercent > readyMostPercent
      ? [{ path: 'parts', message: oilsAnswers.withoutClinicalTrainingABlendHas(readyMostPercent) }]
      : []),
  ];
}

/** Drops that fall on the skin that a blend of the body comes to. */
export const alreadyOf = ({ area, volumeMl }: BlendInput, onSkin: DropsOnSkin | null): Pick<BlendCase, 'already'> =>
  onSkin && area === 'body' ? { already: besideBlend(onSkin, volumeMl) } : {};

/** The same oils in the same proportions in the same carrier; the volume may differ by the rounding of drops. */
function isSameBlend(a: BlendInput, b: BlendInput): boolean {
  if (a.carrier !== b.carrier || a.parts.length !== b.parts.length) return false;
  return a.parts.every(({ oil, drops }) => {
    const other = b.parts.find((part) => part.oil === oil);
    return other !== undefined && Math.abs((drops * b.volumeMl) / a.volumeMl - other.drops) <= 0.5 + 1e-9;
  });
}

async function clientOf(db: Db, record: VisitRecord, now: Date): Promise<OilClientView | undefined> {
  return readOilClient(db, record.client.id, now, await oilWorkOf(db, record));
}

/** What the check apart finds in a bottle for a visit; nothing with any of it is chosen or finished. */
export function blendAgainst(
  blend: BlendInput,
  record: VisitRecord,
  { modalities, touches }: OilWork,
  path: string,
): readonly FieldError[] {
  const isOfFace = blend.area === 'face' || touches.bodyTouchesFace;
  const places = [...anatomy.territories.values()]
    .filter(({ name }) => touches.regions.has(name))
    .filter(({ name }) => isOfFace || !anatomy.groups.face.has(name))
    .filter(({ name }) => blend.area !== 'face' || anatomy.groups.face.has(name));
  const against = blendViolations(
    {
      totalPercent: checkBlend(oilBook, { ...blend, client: adult, basis: 'max' })?.totalPercent ?? Infinity,
      isScented: blend.parts.length > 0,
      contents: [blend.carrier, ...blend.parts.map(({ oil }) => oil)],
      modalities,
      places: new Set(places.map(({ id }) => id)),
    },
    judgeVisit(record),
    (group) =>
      new Set([...(vocabulary.oilGroups[group]?.oils ?? []), ...(vocabulary.oilGroups[group]?.carriers ?? [])]),
  );
  return violationErrors(against, path, () => blend.name).slice(0, 1);
}

/** What the bottles of a visit are against by now: findings may have come after they were chosen. */
export async function chosenAgainst(db: Db, record: VisitRecord): Promise<readonly FieldError[]> {
  const chosen = (await listVisitBlends(db, record.id)).flatMap(({ blend }) => blend ?? []);
  if (chosen.length === 0) return [];
  const work = await oilWorkOf(db, record);
  return chosen.flatMap((blend) => blendAgainst(blend, record, work, 'blend'));
}

/** The blend that a visit carries. What has been mixed for it stays mixed. */
export async function chooseBlend(
  db: Db,
  visitId: VisitId,
  { area, blend, pouredFrom }: VisitBlendInput,
  qualifications: readonly string[],
  actor: Actor,
): Promise<Saved> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return { kind: 'not-found' };
  if (blend) {
    const ready = (await listBlends(db)).map((one) => one.blend);
    const [of, onSkin] = await Promise.all([clientOf(db, record, actor.now), readDropsOnSkin(db, visitId)]);
    const errors = blendErrors(blend, of, oilScopeOf(qualifications), ready, onSkin);
    if (errors.length > 0) return { kind: 'refused', errors };
    const against = blendAgainst(blend, record, await oilWorkOf(db, record), 'parts');
    if (against.length > 0) return { kind: 'refused', errors: against };
  }
  if (pouredFrom !== null) {
    const mix = await findMix(db, pouredFrom);
    if (mix?.state !== 'mixed' || mix.client_id !== null)
      return { kind: 'refused', errors: [{ path: 'pouredFrom', message: oilsAnswers.thereIsNoSuchBottleTo }] };
    if (blend && mix.left_ml < blend.volumeMl)
      return {
        kind: 'refused',
        errors: [{ path: 'pouredFrom', message: oilsAnswers.onlyMlIsLeftInThat(Math.floor(mix.left_ml * 10) / 10) }],
      };
  }
  const before = (await listVisitBlends(db, visitId)).find((one) => one.area === area);
  const isUnchanged = before !== undefined && JSON.stringify(before.blend) === JSON.stringify(blend);
  const mixId = isUnchanged ? before.mixId : null;
  await setVisitBlend(db, visitId, { area, blend, mixId, pouredFrom }, actor.therapistId, actor.now.toISOString());
  return { kind: 'saved', id: visitId };
}

/** Keeps a blend as one of the house's own, for everybody to take. */
export async function keepBlend(
  db: Db,
  blend: BlendInput,
  qualifications: readonly string[],
  actor: Actor,
): Promise<Saved> {
  const errors = blendErrors(blend, undefined, oilScopeOf(qualifications), []);
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  const id = await insertBlend(db, blend, actor.therapistId, now);
  await insertAudit(db, {
    at: now,
    by: actor.therapistId,
    action: 'house blend kept',
    subject: 'house',
    detail: blend.name,
  });
  return { kind: 'saved', id };
}

/** The blends of the house as a file, to be brought in elsewhere. */
export async function writeBlends(db: Db): Promise<BlendFile> {
  const blends = (await listBlends(db)).map(({ blend }) => blend);
  return { kind: 'velvet-stone-blends', version: 1, blends };
}

/** Brings blends in from another house: all, or none with what is wrong in each. */
export async function importBlends(
  db: Db,
  blends: readonly BlendInput[],
  qualifications: readonly string[],
  actor: Actor,
): Promise<Saved> {
  const scope = oilScopeOf(qualifications);
  const errors = blends.flatMap((blend, i) =>
    blendErrors(blend, undefined, scope, []).map(({ path, message }) => ({ path: `blends.${i}.${path}`, message })),
  );
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    for (const blend of blends) await insertBlend(trx, blend, actor.therapistId, now);
    const detail = `${blends.length} brought in`;
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'house blend kept', subject: 'house', detail });
    return { kind: 'saved', id: blends.length } as const;
  });
}

export async function dropBlend(db: Db, id: number, actor: Actor): Promise<Saved> {
  return (await removeBlend(db, id, actor.now.toISOString())) ? { kind: 'saved', id } : { kind: 'not-found' };
}

/** What a client's nose chose: recorded with the order of the strips, taken into the visit and into what is liked. */
export async function recordSmell(
  db: Db,
  { visitId, strips, chosen }: SmellInput,
  qualifications: readonly string[],
  actor: Actor,
): Promise<Saved> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return { kind: 'not-found' };
  if (mayNotSmell(record.stored))
    return {
      kind: 'refused',
      errors: [{ path: 'visitId', message: oilsAnswers.noScentsAreTriedWithThis }],
    };
  const [of, onSkin] = await Promise.all([clientOf(db, record, actor.now), readDropsOnSkin(db, visitId)]);
  const ready = (await listBlends(db)).map((one) => one.blend);
  const errors = strips.flatMap(({ blend }, i) =>
    blendErrors(blend, of, oilScopeOf(qualifications), ready, onSkin).map(({ path, message }) => ({
      path: oilsAnswers.stripsBlend(i, path),
      message,
    })),
  );
  if (chosen !== null && !strips[chosen]) errors.push({ path: 'chosen', message: oilsAnswers.chooseOneOfTheStripsOr });
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  const taken = chosen === null ? undefined : strips[chosen];
  return db.transaction().execute(async (trx) => {
    const id = await insertSmell(trx, { clientId: record.client.id, visitId, strips, chosen }, actor.therapistId, now);
    if (taken) {
      const area = taken.blend.area === 'face' ? 'face' : 'body';
      await setVisitBlend(
        trx,
        visitId,
        { area, blend: taken.blend, mixId: null, pouredFrom: null },
        actor.therapistId,
        now,
      );
      if ((taken.liking ?? 0) >= likedFrom) await addLiked(trx, record.client.id, taken.blend, actor);
    }
    return { kind: 'saved', id } as const;
  });
}

/** From this liking on (0–10) a scent counts as liked. */
const likedFrom = 7;

/** A version of the record, as any other change of it. */
async function addLiked(db: Db, clientId: ClientId, blend: BlendInput, actor: Actor): Promise<void> {
  const row = await findClient(db, clientId);
  if (!row) return;
  const data = toClientData(row);
  const known = data.likes.scentsLiked;
  const names = blend.parts.map(({ oil }) => oilOf(oilBook, oil).name.toLowerCase());
  const fresh = names.filter((name) => !known.toLowerCase().includes(name));
  if (fresh.length === 0) return;
  const scentsLiked = [known, ...fresh].filter(Boolean).join(', ').slice(0, 200);
  const likes = { ...data.likes, scentsLiked };
  await changeClient(db, row, { ...data, likes }, actor.therapistId, actor.now.toISOString());
}
