import type { Minutes } from '../quantities';
import type { Area, Carrier, OilBook } from './book';
import { isSensitive, type OilClient, reasonsAgainstCarrier } from './client';
import { oilsSays } from './oils.says';

export interface CarrierWish {
  readonly area: Area;
  readonly client: OilClient;
  /** Skin type as it was seen, such as `dry`; null: not noted. */
  readonly skinType: string | null;
  /** How long hands are to glide on it. */
  readonly minutes: Minutes;
  readonly dressesAtOnce: boolean;
  /** Ids that the house has; all when left out. */
  readonly stock?: ReadonlySet<string> | undefined;
}

export interface CarrierChoice {
  readonly carrier: Carrier;
  /** Why not at all; empty where it may be taken. */
  readonly against: readonly string[];
  /** What speaks for it, then what does not. */
  readonly why: readonly string[];
  readonly points: number;
}

/** Carriers from the best to the least suited, those that may not be taken last, each with its reasons. */
export function chooseCarrier(book: OilBook, wish: CarrierWish): readonly CarrierChoice[] {
  const hasAllergy = (wish.client.avoids ?? []).some(({ id }) => book.carriers.has(id));
  return [...book.carriers.values()]
    .map((carrier) => judged(carrier, wish, hasAllergy))
    .sort(
      (a, b) =>
        Number(a.against.length > 0) - Number(b.against.length > 0) ||
        b.points - a.points ||
        a.carrier.name.localeCompare(b.carrier.name),
    );
}

function judged(carrier: Carrier, wish: CarrierWish, hasAllergy: boolean): CarrierChoice {
  const { area, client, skinType, minutes, dressesAtOnce, stock } = wish;
  const against = [
    ...reasonsAgainstCarrier(carrier.id, client),
    ...(area === 'face' && !carrier.faceSuitable ? [oilsSays.tooHeavyForTheFace] : []),
    ...(stock && !stock.has(carrier.id) ? [oilsSays.noneInTheHouse] : []),
  ];
  const wanted = isSensitive(client) ? 'sensitive' : skinType;
  const suits = wanted !== null && carrier.skinTypes.includes(wanted);
  const glides = carrier.glideMinutes >= minutes;
  const pro: readonly (readonly [boolean, number, string])[] = [
    [suits, 3, oilsSays.suitsSkin(wanted ?? 'any')],
    [!suits && carrier.skinTypes.includes('all'), 2, oilsSays.suitsAnySkin],
    [glides, 3, oilsSays.glidesForMinutes(carrier.glideMinutes)],
    [dressesAtOnce && carrier.absorption === 'fast', 2, oilsSays.sinksInBeforeDressing],
    [carrier.launders === 'easy', 1, oilsSays.washesOutOfTowels],
    [area === 'face' && carrier.comedogenicity <= 1, 2, oilsSays.leavesPoresOpen],
    [carrier.shelfLifeMonthsOpened >= 18, 0.5, oilsSays.keepsLong],
  ];
  const con: readonly (readonly [boolean, number, string])[] = [
    [
      !glides,
      2 * (1 - carrier.glideMinutes / Math.max(1, minutes)) + 0.5,
      oilsSays.needsMoreAfterMinutes(carrier.glideMinutes),
    ],
    [dressesAtOnce && carrier.absorption === 'slow', 2, oilsSays.liesLongOnTheSkin],
    [wanted === 'oily' && carrier.comedogenicity >= 3, 3, oilsSays.closesPores],
    // Somebody who reacts to one kind of seed may react to another.
    [
      hasAllergy && carrier.allergens.length > 0,
      3,
      oilsSays.askFirst(carrier.allergens.join(', ').replaceAll('-', ' ')),
    ],
    [carrier.waterBased && minutes > 10, 2, oilsSays.driesOffAndOilsDoNot],
  ];
  const on = (list: typeof pro) => list.filter(([holds]) => holds);
  const sum = (list: typeof pro) => list.reduce((total, [, points]) => total + points, 0);
  return {
    carrier,
    against,
    why: [...on(pro), ...on(con)].map(([, , words]) => words),
    points: sum(on(pro)) - sum(on(con)),
  };
}
