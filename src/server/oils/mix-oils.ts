import { findCurrency } from '../people/settings.repository';
import type { OilId } from '../../core/ids';
import { bottleWordsOf } from '../../catalogue/client-words/bottle';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput, MixCountInput, MixInput } from '../../contracts/oil-house';
import type { MixView } from '../../contracts/oil-views';
import { aftercareLines } from '../../core/oils/aftercare';
import { mlOf, totalMlOf } from '../../core/oils/amounts';
import { carrierOf, oilOf } from '../../core/oils/book';
import { checkBlend } from '../../core/oils/check';
import { adult, isSensitive } from '../../core/oils/client';
import { fitsLabel, labelLines, labelSizes, usableUntil } from '../../core/oils/label';
import { ageingOf, centsPerMl, drawFrom } from '../../core/oils/stock';
import type { Db } from '../db/connection';
import { labelMeasure } from '../paper/label-pdf';
import {
  findMix,
  giveUpMix,
  insertMix,
  listBlends,
  setCounted,
  setMixed,
  setVisitBlend,
  type StoredMix,
} from './blends.repository';
import { drawBottle, listBottles, type StoredBottle } from './oils.repository';
import { alreadyOf, blendAgainst, blendErrors } from './choose-blend';
import { readDropsOnSkin } from './layer-facts';
import { readLanguage } from '../clients/read-language';
import { isoDay, shortDateIn } from '../shared/house-clock';
import { oilScopeOf, oilWorkOf, readOilClient } from './oil-client';
import { readVisitFrame } from '../visits/read-visit';
import type { Actor, SaveRefusal } from '../shared/saving';
import { oilsAnswers } from './oils.answers';

type Saved = { readonly kind: 'saved'; readonly id: number; readonly words: string } | SaveRefusal;

/** Begins a bottle: for a visit, for a client, or for the house. */
export async function startMix(
  db: Db,
  input: MixInput,
  qualifications: readonly string[],
  actor: Actor,
): Promise<Saved> {
  const visit = input.visitId === null ? undefined : await readVisitFrame(db, input.visitId);
  if (input.visitId !== null && !visit) return { kind: 'not-found' };
  const clientId = visit?.client.id ?? input.clientId;
  const of = await clientFor(db, { client_id: clientId, visit_id: input.visitId }, actor.now);
  if (clientId !== null && !of) return { kind: 'not-found' };
  const ready = (await listBlends(db)).map(({ blend }) => blend);
  const onSkin = visit ? await readDropsOnSkin(db, visit.id) : null;
  const errors = blendErrors(input.blend, of, oilScopeOf(qualifications), ready, onSkin);
  if (errors.length > 0) return { kind: 'refused', errors };
  const against = visit ? blendAgainst(input.blend, visit, await oilWorkOf(db, visit), 'blend.parts') : [];
  if (against.length > 0) return { kind: 'refused', errors: against };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const id = await insertMix(trx, { blend: input.blend, clientId, visitId: input.visitId }, now);
    const { area } = input.blend;
    if (input.visitId !== null && (area === 'body' || area === 'face'))
      await setVisitBlend(
        trx,
        input.visitId,
        { area, blend: input.blend, mixId: id, pouredFrom: null },
        actor.therapistId,
        now,
      );
    return { kind: 'saved', id, words: '' } as const;
  });
}

async function clientFor(db: Db, mix: Pick<StoredMix, 'client_id' | 'visit_id'>, now: Date) {
  const record = mix.visit_id === null ? undefined : await readVisitFrame(db, mix.visit_id);
  const of = record && (await oilWorkOf(db, record));
  return mix.client_id === null ? undefined : readOilClient(db, mix.client_id, now, of);
}

/** Keeps what has been counted in so far. */
export async function countMix(db: Db, id: number, { counted }: MixCountInput): Promise<Saved> {
  const mix = await findMix(db, id);
  if (!mix) return { kind: 'not-found' };
  if (mix.state !== 'mixing')
    return { kind: 'refused', errors: [{ path: 'counted', message: oilsAnswers.thisBottleIsFinishedOpenA }] };
  const foreign = Object.keys(counted).find((oil) => !mix.blend.parts.some((part) => part.oil === oil));
  if (foreign !== undefined)
    return { kind: 'refused', errors: [{ path: `counted.${foreign}`, message: oilsAnswers.thisOilIsNotInThe }] };
  await setCounted(db, id, counted);
  return { kind: 'saved', id, words: '' };
}

/** What is really in the bottle: the drops that were counted. */
const mixedBlend = ({ blend, counted }: StoredMix): BlendInput => ({
  ...blend,
  parts: blend.parts.map((part) => ({ ...part, drops: counted[part.oil] ?? 0 })).filter(({ drops }) => drops > 0),
});

/**
 * Finishes a bottle: what is in it is judged once more, as it was counted, drawn from the shelf, and dated.
 * @returns in `words` what the shelf did not have enough of, as it was counted there
 */
export async function finishMix(db: Db, id: number, actor: Actor): Promise<Saved> {
  const mix = await findMix(db, id);
  if (!mix) return { kind: 'not-found' };
  if (mix.state !== 'mixing') return { kind: 'saved', id, words: '' };
  const missing = mix.blend.parts.find(({ oil }) => mix.counted[oil] === undefined);
  if (missing)
    return {
      kind: 'refused',
      errors: [{ path: 'counted', message: oilsAnswers.hasNotBeenCountedInYet(oilOf(oilBook, missing.oil).name) }],
    };
  const blend = mixedBlend(mix);
  const of = await clientFor(db, mix, actor.now);
  const onSkin = mix.visit_id === null ? null : await readDropsOnSkin(db, mix.visit_id);
  const already = alreadyOf(blend, onSkin);
  const check = checkBlend(oilBook, { ...blend, client: of?.client ?? adult, basis: 'max', ...already });
  const over = check?.findings.find(({ severity }) => severity === 'over');
  const record = mix.visit_id === null ? undefined : await readVisitFrame(db, mix.visit_id);
  const against = record ? blendAgainst(blend, record, await oilWorkOf(db, record), 'counted') : [];
  if (against.length > 0) return { kind: 'refused', errors: against };
  if (!check || over)
    return {
      kind: 'refused',
      errors: [
        {
          path: 'counted',
          message: over ? oilsAnswers.asItWasCounted(over.text) : oilsAnswers.moreDropsThanTheBottleHolds,
        },
      ],
    };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const { draws, costCents, bestBefores, short } = await drawsFor(trx, blend, isoDay(now));
    for (const draw of draws) await drawBottle(trx, draw, 'mixed', { mixId: id, therapistId: actor.therapistId, now });
    const useBy = usableUntil(isoDay(now), carrierOf(oilBook, blend.carrier).waterBased, bestBefores);
    await setMixed(trx, id, { useBy, costCents, leftMl: blend.volumeMl, by: actor.therapistId, now });
    const words = short.length > 0 ? oilsAnswers.theShelfHadLess(short.join(', ')) : '';
    return { kind: 'saved', id, words } as const;
  });
}

export async function abandonMix(db: Db, id: number): Promise<Saved> {
  const mix = await findMix(db, id);
  if (!mix) return { kind: 'not-found' };
  if (mix.state === 'mixed')
    return { kind: 'refused', errors: [{ path: '', message: oilsAnswers.thisBottleIsFinishedAndStays }] };
  await giveUpMix(db, id);
  return { kind: 'saved', id, words: '' };
}

/** Out of which bottles a blend comes, what that costs, and when the first of them is no longer good. */
async function drawsFor(db: Db, blend: BlendInput, today: string) {
  const bottles = (await listBottles(db)).map((bottle) => ({ ...bottle, ...ageOf(bottle, today) }));
  const oilMl = totalMlOf(oilBook, blend.parts);
  const wanted = [
    ...blend.parts.map((part) => ({ kind: 'essential', oil: part.oil, ml: mlOf(oilBook, part) }) as const),
    { kind: 'carrier', oil: blend.carrier, ml: blend.volumeMl - oilMl } as const,
  ];
  const found = wanted.map(({ kind, oil, ml }) => ({
    kind,
    oil,
    ...drawFrom(
      bottles.filter((bottle) => bottle.kind === kind && bottle.oil === oil),
      ml,
    ),
  }));
  const draws = found.flatMap((one) => one.draws);
  const used = draws.flatMap(({ bottle, ml }) => bottles.filter(({ id }) => id === bottle).map((of) => ({ of, ml })));
  return {
    found,
    draws,
    costCents: Math.round(used.reduce((sum, { of, ml }) => sum + ml * centsPerMl(of), 0)),
    bestBefores: used.map(({ of }) => of.bestBefore),
    short: found.filter(({ shortMl }) => shortMl > 1e-6).map(({ kind, oil }) => nameOf(kind, oil)),
    lots: (kind: string, oil: OilId) =>
      used.filter(({ of }) => of.kind === kind && of.oil === oil).map(({ of }) => of.lot),
  };
}

const ageOf = (bottle: StoredBottle, today: string) =>
  ageingOf(bottle, bottle.kind === 'essential' ? oilOf(oilBook, bottle.oil) : carrierOf(oilBook, bottle.oil), today);

const nameOf = (kind: 'essential' | 'carrier', oil: OilId) =>
  (kind === 'essential' ? oilOf(oilBook, oil) : carrierOf(oilBook, oil)).name;

/** A bottle as the mixing card shows it. @returns undefined when there is none */
export async function readMix(db: Db, id: number, now: Date): Promise<MixView | undefined> {
  const mix = await findMix(db, id);
  if (!mix) return undefined;
  const today = isoDay(now.toISOString());
  const [of, stock] = await Promise.all([clientFor(db, mix, now), drawsFor(db, mix.blend, today)]);
  const blend = mix.state === 'mixed' ? mixedBlend(mix) : mix.blend;
  const check = checkBlend(oilBook, { ...blend, client: of?.client ?? adult, basis: 'max' });
  const mixedOn = mix.mixed_at ? isoDay(mix.mixed_at) : today;
  const useBy = mix.use_by ?? usableUntil(mixedOn, carrierOf(oilBook, blend.carrier).waterBased, stock.bestBefores);
  const language = await readLanguage(db, mix.client_id);
  const bottle = bottleWordsOf(language);
  const label = labelLines(
    oilBook,
    {
      ...{ name: blend.name, initials: of?.initials ?? '', area: blend.area, volumeMl: blend.volumeMl },
      ...{
        carrier: blend.carrier,
        parts: blend.parts,
        mixedOn: shortDateIn(language, mixedOn),
        useBy: shortDateIn(language, useBy),
      },
      sunHours: check?.phototoxic.hoursOutOfSun ?? 0,
    },
    bottle,
  );
  return {
    id,
    blend: mix.blend,
    state: mix.state,
    counted: mix.counted,
    client: of ? { id: of.id, name: of.name, initials: of.initials } : null,
    visitId: mix.visit_id,
    useBy,
    costCents: mix.state === 'mixed' ? mix.cost_cents : stock.costCents,
    currency: await findCurrency(db),
    from: stock.found.map(({ kind, oil, shortMl }) => ({ oil, lots: stock.lots(kind, oil), shortMl })),
    label,
    fits: labelSizes.filter((size) => fitsLabel(label, size, labelMeasure)).map((size) => size.id),
    language,
    aftercare: aftercareLines(
      oilBook,
      {
        ...{ area: blend.area, parts: blend.parts, sunSum: check?.phototoxic.sumOfFractions ?? 0 },
        ...{ isSensitive: of ? isSensitive(of.client) : false, travelsAtOnce: false },
      },
      bottle,
    ),
  };
}
