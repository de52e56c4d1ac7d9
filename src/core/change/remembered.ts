import type { PlaceId } from '../anatomy/place';
import { rememberedSays } from './remembered.says';

/** What hands find and remember. */
export const foundKinds = ['tighter', 'tender', 'redness', 'warmer', 'cooler', 'firm'] as const;
export type FoundKind = (typeof foundKinds)[number];

export interface Found {
  readonly kind: FoundKind;
  readonly place: PlaceId;
}

/** A visit that was worked, with all that was found at it. */
export interface FoundAt {
  /** Days before today. */
  readonly daysAgo: number;
  readonly found: readonly Found[];
}

/** What was found at a place over the visits. */
export interface Remembered extends Found {
  /** Visits at which it was found, of those that are looked back on. */
  readonly times: number;
  readonly visits: number;
  /** 0–1: how present it is; a finding fades by half in a month. */
  readonly presence: number;
  /** `4 of 5 visits, then 1 of 5`. */
  readonly words: string;
  readonly wasLastTime: boolean;
}

/** As many visits as are looked back on; more than so many are told in two halves. */
export const rememberedVisits = 10;
const toldWhole = 5;
const fadeDays = 30;

/**
 * The picture that findings of hands make over the visits: per place and kind how often, how lately, and whether it
 * comes less often now.
 * @param visits the oldest first; of more than ten the newest are taken
 * @returns the most present first
 */
export function remember(visits: readonly FoundAt[]): readonly Remembered[] {
  const looked = visits.slice(-rememberedVisits);
  const known = new Map<string, Found>();
  for (const { found } of looked) for (const one of found) known.set(keyOf(one), one);
  return [...known.values()]
    .map(({ kind, place }) => {
      const hits = looked.map(({ found }) => found.some((one) => one.kind === kind && one.place === place));
      return {
        ...{ kind, place, visits: looked.length },
        times: count(hits),
        presence: Math.max(...looked.map(({ daysAgo }, i) => (hits[i] ? 0.5 ** (Math.max(0, daysAgo) / fadeDays) : 0))),
        words: inWords(hits),
        wasLastTime: hits.at(-1) === true,
      };
    })
    .sort((a, b) => b.presence - a.presence || b.times - a.times);
}

const keyOf = ({ kind, place }: Found) => `${kind} ${place}`;
const count = (hits: readonly boolean[]) => hits.filter(Boolean).length;

function inWords(hits: readonly boolean[]): string {
  if (hits.length <= toldWhole) return rememberedSays.ofVisits(count(hits), hits.length);
  const half = Math.ceil(hits.length / 2);
  const [older, newer] = [hits.slice(0, half), hits.slice(half)];
  const before = rememberedSays.ofVisits(count(older), older.length);
  return rememberedSays.thenOf(before, count(newer), newer.length);
}
