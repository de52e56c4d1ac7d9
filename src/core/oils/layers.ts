import type { Drops, Millilitres, Percent } from '../quantities';
import type { OilId } from '../ids';
import { list } from '../drainage/wording';
import { type BlendPart, type OilBook, oilOf, type UseId, useIds } from './book';
import { dropsPerMlOf } from './amounts';
import { guideOf, type OilClient, reasonsToAvoid } from './client';
import { dilute, filmMlPerCm2 } from './layered';
import type { Dose } from './limits';
import { useWords } from './words';
import type { OnSkin } from './on-skin';
import { type CountedDrops, type DroppingOil, leftOn, type SkinBalance, skinBalance, tightestOf } from './skin-balance';
import { oilsSays } from './oils.says';

/** What drops of a layer are for: a use of the book, or to cool, which menthol does. */
export type LayerPurpose = UseId | 'cooling';

/** A step that lets drops fall onto the skin. */
export interface LayerWish {
  readonly step: string;
  /** `calming and muscle-ease: mild, spread over the whole back`. */
  readonly use: string;
  /** From how many drops to how many. */
  readonly drops: readonly Drops[];
}

export interface LayerCase {
  readonly wishes: readonly LayerWish[];
  /** What the shelf has and may still be used. */
  readonly shelf: readonly Pick<BlendPart, 'oil' | 'dropsPerMl'>[];
  readonly client: OilClient;
  readonly areaCm2: number;
  /** What another blend of the visit brings to this skin. */
  readonly before: readonly Dose[];
  /** What the therapist has chosen, by step. */
  readonly chosen?: Readonly<Record<string, { readonly oil: OilId; readonly drops: Drops }>> | undefined;
}

/** One layer as it is given. */
export interface Layer {
  readonly step: string;
  readonly purposes: readonly LayerPurpose[];
  /** null: nothing drops. */
  readonly oil: OilId | null;
  readonly drops: Drops;
  /** As its own bottle counts, where that was counted. */
  readonly dropsPerMl?: number | undefined;
  /** How strong it is in what it drops from, and its drops in that bottle of `layerBottleMl`. */
  readonly strengthPercent: Percent;
  readonly inBottle: Drops;
  /** As many as the skin may have here, after the layers before; null where no limit is known. */
  readonly mostDrops: Drops | null;
  /** Oils of the shelf that serve it and of which at least one drop may fall. */
  readonly mayBe: readonly OilId[];
  /** Why this oil, or why none. */
  readonly why: string;
}

export interface Layers {
  readonly areaCm2: number;
  readonly layers: readonly Layer[];
  readonly balance: SkinBalance;
}

/** A strip along the spine, two hands wide (cm²), on skin of the usual size (m²). */
const spineCm2 = 900;
const usualSurfaceM2 = 1.75;
export const spineStripCm2 = (surfaceM2 = usualSurfaceM2): number =>
  Math.round((spineCm2 * surfaceM2) / usualSurfaceM2);

/** From so much menthol on an oil cools (%). */
const coolingPercent = 10;

/** The purposes that a layer names before its colon; none where it names no known one. */
export function purposesOf(use: string): readonly LayerPurpose[] {
  const named = (use.split(':')[0] ?? '').split(' and ').map((word) => word.trim());
  return ([...useIds, 'cooling'] as const).filter((purpose) => named.includes(purpose));
}

function serves(book: OilBook, oil: OilId, purpose: LayerPurpose): boolean {
  const { uses, constituents } = oilOf(book, oil);
  return purpose === 'cooling'
    ? constituents.some(({ id, typicalPercent }) => id === 'menthol' && typicalPercent >= coolingPercent)
    : uses.includes(purpose);
}

/**
 * Which oil of the shelf drops in each layer, and how often, so that all of them together stay inside every limit of
 * this skin: as many layers as can be have one, an oil that serves most of what the layer is for, of which enough may
 * fall, the mildest of those; not the same twice. A choice of the therapist stands wherever the skin may have it.
 */
export function planLayers(book: OilBook, input: LayerCase): Layers {
  const { wishes, shelf, client, areaCm2, before, chosen = {} } = input;
  const filmMl = areaCm2 * filmMlPerCm2;
  const together = guideOf(book, client, 'body').maxPercent;
  const left = together - before.reduce((sum, { percent }) => sum + percent, 0);
  const usable = shelf
    .filter(({ oil }) => reasonsToAvoid(oilOf(book, oil), client, 'body', book).length === 0)
    .flatMap((part) => dilutedFor(book, part, client, Math.max(0, left) / dropsShare(book, wishes, part, filmMl)));
  const balance = skinBalance(book, { filmMl, client, before, oils: usable, mostTogether: together });
  const layers = fillLayers({
    ...{ book, balance, chosen },
    oils: usable,
    reserved: new Set(wishes.flatMap(({ step }) => chosen[step]?.oil ?? [])),
    triedEach: wishes.length > fewLayers ? 2 : 4,
  })(wishes, {});
  return { areaCm2, layers, balance };
}

/** What all layers drop at least, in parts of the film. */
const dropsShare = (book: OilBook, wishes: readonly LayerWish[], part: DroppingOil, filmMl: Millilitres): number =>
  wishes.reduce((sum, { drops }) => sum + Math.min(...drops), 0) / (dropsPerMlOf(book, part) * filmMl) || 1;

/** What each layer drops from: so much medium, with whole drops of its oil (mL). */
export const layerBottleMl = 10;

/**
 * An oil as it drops: never undiluted, as strong as its own limits and the guide allow in whole drops, and no stronger
 * than leaves room for the least drops of all layers. None where not one drop goes into its bottle.
 */
function dilutedFor(
  book: OilBook,
  part: LayerCase['shelf'][number],
  client: OilClient,
  mostPercent: Percent,
): readonly BottledOil[] {
  const own = dilute(book, [{ ...part, drops: 1 }], client).maxTotalPercent;
  const perMl = dropsPerMlOf(book, part);
  const inBottle = Math.floor((Math.min(own, mostPercent) / 100) * layerBottleMl * perMl + 1e-9);
  return inBottle > 0 ? [{ ...part, inBottle, strengthPercent: (100 * inBottle) / perMl / layerBottleMl }] : [];
}

interface BottledOil extends DroppingOil {
  /** Drops of it in the bottle that it drops from. */
  readonly inBottle: Drops;
  readonly strengthPercent: Percent;
}

/** What of the oil itself is in drops of its diluted bottle, in drops; what is not diluted is all oil. */
export const oilInDrops = (drops: Drops, strengthPercent: Percent = 100): Drops => (drops * strengthPercent) / 100;

/** Up to so many layers, more oils are tried for each. */
const fewLayers = 6;

interface Filling {
  readonly book: OilBook;
  readonly balance: SkinBalance;
  readonly oils: readonly BottledOil[];
  readonly chosen: NonNullable<LayerCase['chosen']>;
  /** Oils that the therapist has chosen for one of the layers. */
  readonly reserved: ReadonlySet<OilId>;
  /** How many oils are tried for a layer, the best first. */
  readonly triedEach: number;
}

const filled = (layers: readonly Layer[]) => layers.filter(({ oil }) => oil !== null).length;

/** Layer by layer; an oil that a later one cannot do without is left to it. */
function fillLayers(filling: Filling) {
  const fill = (wishes: readonly LayerWish[], counted: CountedDrops): readonly Layer[] => {
    const [wish, ...rest] = wishes;
    if (!wish) return [];
    let best: readonly Layer[] | undefined;
    for (const layer of candidatesFor(filling, wish, counted)) {
      const after = layer.oil === null ? counted : { ...counted, [layer.oil]: (counted[layer.oil] ?? 0) + layer.drops };
      const all = [layer, ...fill(rest, after)];
      if (!best || filled(all) > filled(best)) best = all;
      if (filled(best) === wishes.length) break;
    }
    return best ?? [];
  };
  return fill;
}

/** What a layer may be, the best first; nothing at all where nothing may drop. */
function candidatesFor(
  { book, balance, oils, chosen, reserved, triedEach }: Filling,
  { step, use, drops: range }: LayerWish,
  counted: CountedDrops,
): readonly Layer[] {
  const purposes = purposesOf(use);
  const least = Math.min(...range);
  const serving = oils.flatMap(({ oil }) => (purposes.some((one) => serves(book, oil, one)) ? [oil] : []));
  const mayBe = serving.filter((oil) => leftOn(balance, counted, oil) !== 0);
  const own = chosen[step];
  const free = oils
    .filter(({ oil }) => mayBe.includes(oil) && !(oil in counted) && !reserved.has(oil))
    .toSorted((a, b) => worthOf(book, balance, counted, purposes, least, a, b))
    .slice(0, triedEach)
    .map(({ oil }) => oil);
  const tried = own && mayBe.includes(own.oil) ? [own.oil] : free;
  const none: Layer = {
    ...{ step, purposes, mayBe, oil: null, drops: 0, mostDrops: 0, strengthPercent: 0, inBottle: 0 },
    why: whyNone(book, balance, counted, serving, purposes),
  };
  return [
    ...tried.map((oil): Layer => {
      const mostDrops = leftOn(balance, counted, oil);
      const drops = Math.min(own?.oil === oil ? own.drops : least, mostDrops ?? Infinity);
      const { dropsPerMl, strengthPercent = 0, inBottle = 0 } = oils.find((one) => one.oil === oil) ?? {};
      const why = whyThis(book, oil, purposes, drops, least);
      return {
        ...{ step, purposes, mayBe, oil, drops, mostDrops, why, strengthPercent, inBottle },
        ...(dropsPerMl ? { dropsPerMl } : {}),
      };
    }),
    ...(tried.length === 0 ? [none] : []),
  ];
}

/** What may fall often enough comes first, then what serves more, then the milder oil: the one that may be stronger. */
function worthOf(
  book: OilBook,
  balance: SkinBalance,
  counted: CountedDrops,
  purposes: readonly LayerPurpose[],
  least: Drops,
  a: BottledOil,
  b: BottledOil,
): number {
  const served = ({ oil }: BottledOil) => purposes.filter((purpose) => serves(book, oil, purpose)).length;
  const isEnough = ({ oil }: BottledOil) => Number((leftOn(balance, counted, oil) ?? least) >= least);
  return isEnough(b) - isEnough(a) || served(b) - served(a) || b.strengthPercent - a.strengthPercent;
}

export const purposesInWords = (purposes: readonly LayerPurpose[]): string =>
  list(purposes.map((purpose) => (purpose === 'cooling' ? 'cooling' : useWords[purpose])));

const nameOf = (book: OilBook, oil: OilId) => oilOf(book, oil).name;

function whyThis(book: OilBook, oil: OilId, purposes: readonly LayerPurpose[], drops: Drops, least: Drops): string {
  const served = purposes.filter((purpose) => serves(book, oil, purpose));
  const few = drops < least ? oilsSays.theSkinMayHaveNoMore(drops) : '';
  return oilsSays.forWord(purposesInWords(served), few);
}

function whyNone(
  book: OilBook,
  balance: SkinBalance,
  counted: CountedDrops,
  serving: readonly OilId[],
  purposes: readonly LayerPurpose[],
): string {
  const what = purposesInWords(purposes);
  if (serving.length === 0) return oilsSays.theShelfHasNothingForThat(what);
  const full = serving.find((oil) => leftOn(balance, counted, oil) === 0);
  const line = full && tightestOf(balance, counted, full);
  return full && line
    ? oilsSays.oneDropOfWouldBeOver(nameOf(book, full).toLowerCase(), line.of.toLowerCase())
    : oilsSays.whatTheShelfHasForDrops(what);
}

/** What drops straight onto a piece of skin in a visit. */
export interface DropsOnSkin {
  readonly filmMl: Millilitres;
  readonly parts: readonly BlendPart[];
}

/** The same beside a blend of so many millilitres: as many drops as give its skin the same percent. */
export const besideBlend = ({ filmMl, parts }: DropsOnSkin, volumeMl: Millilitres): readonly OnSkin[] => [
  { area: 'body', volumeMl, parts: parts.map((part) => ({ ...part, drops: (part.drops * volumeMl) / filmMl })) },
];

/** Choices that cannot stand, each with what would do. */
export function layerErrors(
  book: OilBook,
  { layers }: Layers,
  chosen: NonNullable<LayerCase['chosen']>,
): readonly { readonly step: string; readonly message: string }[] {
  return layers.flatMap(({ step, oil, mostDrops, mayBe }) => {
    const own = chosen[step];
    if (!own) return [];
    const name = book.oils.has(own.oil) ? nameOf(book, own.oil) : own.oil;
    if (own.oil !== oil)
      return [
        {
          step,
          message: oilsSays.cannotDropHere(
            name,
            mayBe.length > 0
              ? oilsSays.choose(list(mayBe.slice(0, 4).map((id) => nameOf(book, id).toLowerCase())))
              : oilsSays.nothingOnTheShelfThatServes,
          ),
        },
      ];
    return mostDrops !== null && own.drops > mostDrops
      ? [{ step, message: oilsSays.thisSkinMayHaveMoreDrops(mostDrops, name.toLowerCase(), own.drops) }]
      : [];
  });
}
