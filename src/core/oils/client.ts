import type { Percent } from '../quantities';
import type { Area, EssentialOil, GuideRow, OilBook } from './book';
import { oilsSays } from './oils.says';

/** Who the blend is for. */
export interface OilClient {
  /** Years; null: not known, an adult is assumed. */
  readonly age: number | null;
  /** Ids of the book, and `frail`. */
  readonly conditions: readonly string[];
  readonly skin: 'normal' | 'sensitive';
  /** Oils and carriers that screening keeps away, with the reason. */
  readonly avoids?: readonly { readonly id: string; readonly reason: string }[] | undefined;
  /** What screening allows at most on all skin that the work touches (%). */
  readonly mostPercent?: Percent | undefined;
  /** The same on the face, where it is less there (%). */
  readonly mostPercentOnFace?: number | undefined;
  /** What is mixed for the body also touches the face: it is judged for the face. */
  readonly bodyTouchesFace?: boolean | undefined;
}

export const adult: OilClient = { age: null, conditions: [], skin: 'normal' };

export const isSensitive = ({ skin, conditions }: OilClient): boolean =>
  skin === 'sensitive' || conditions.includes('sensitive-skin');

/** All that counts as a condition: what was named, sensitive skin, and ages. */
export function conditionsOf(client: OilClient): ReadonlySet<string> {
  const { age } = client;
  return new Set([
    ...client.conditions,
    ...(isSensitive(client) ? ['sensitive-skin'] : []),
    ...(age === null ? [] : [2, 6, 10].filter((years) => age < years).map((years) => `age-under-${years}`)),
  ]);
}

/** The area that a blend is judged for: the face wherever it comes there, whatever the work is called. */
export const judgedArea = (client: OilClient, area: Area): Area =>
  area === 'body' && client.bodyTouchesFace ? 'face' : area;

/** Why an oil is not for a client in this area; empty where it may be used. */
export function reasonsToAvoid(oil: EssentialOil, client: OilClient, of: Area, book: OilBook): readonly string[] {
  const area = judgedArea(client, of);
  const has = conditionsOf(client);
  const own = oil.avoid
    .filter(({ condition, scope }) => has.has(condition) && (scope === 'all' || area === 'face'))
    .map(({ condition, reason }) => `${reason} (${book.conditions.get(condition) ?? condition})`);
  const screened = (client.avoids ?? []).filter(({ id }) => id === oil.id).map(({ reason }) => reason);
  return [...own, ...screened];
}

/** Why a carrier is not for a client; empty where it may be used. */
export const reasonsAgainstCarrier = (carrier: string, client: OilClient): readonly string[] =>
  (client.avoids ?? []).filter(({ id }) => id === carrier).map(({ reason }) => reason);

const oldAge = 75;

/** Rows of the dilution guide that apply to a client and an area. */
function guideRows(book: OilBook, client: OilClient, area: Area): readonly GuideRow[] {
  const { age, conditions } = client;
  const sensitive = isSensitive(client);
  const ofArea = { face: 'face', body: 'body', local: 'local', bath: 'bath' }[area];
  const ofSensitive = { face: 'face-sensitive', body: 'body-sensitive', local: 'body-sensitive', bath: 'bath' }[area];
  const ids = [
    ...(age !== null && age >= 2 && age < 6 ? ['child-2-6'] : []),
    ...(age !== null && age >= 6 && age < 12 ? ['child-6-12'] : []),
    ...((age !== null && age >= oldAge) || conditions.includes('frail') ? ['frail'] : []),
    ...(conditions.includes('pregnancy') ? ['pregnancy'] : []),
    sensitive ? ofSensitive : ofArea,
  ];
  return ids.flatMap((id) => book.guide.get(id) ?? []);
}

export interface Guide {
  readonly maxPercent: Percent;
  /** Whom the strictest figure is for, in words. */
  readonly audience: string;
}

/** How strong a blend usually is at most: the strictest of all that applies. */
export function guideOf(book: OilBook, client: OilClient, of: Area): Guide {
  const area = judgedArea(client, of);
  const rows = [
    ...(client.age !== null && client.age < 2 ? [{ usualMaxPercent: 0, audience: oilsSays.under2Years }] : []),
    ...guideRows(book, client, area),
    ...(area === 'face' && client.mostPercentOnFace !== undefined
      ? [{ usualMaxPercent: client.mostPercentOnFace, audience: oilsSays.whatWasSaidAtTheConsultation }]
      : []),
    ...(client.mostPercent === undefined
      ? []
      : [{ usualMaxPercent: client.mostPercent, audience: oilsSays.whatWasSaidAtTheConsultation2 }]),
  ];
  return rows.reduce<Guide>(
    (least, { usualMaxPercent, audience }) =>
      usualMaxPercent < least.maxPercent ? { maxPercent: usualMaxPercent, audience } : least,
    { maxPercent: Infinity, audience: '' },
  );
}
