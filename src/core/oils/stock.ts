import type { Millilitres } from '../quantities';
import type { OilId } from '../ids';
import { addDays, daysBetween } from '../calendar/days';
import type { Carrier, EssentialOil } from './book';
import { oilsSays } from './oils.says';

/** A bottle on the shelf. Dates YYYY-MM-DD. */
export interface Bottle {
  readonly id: number;
  readonly kind: 'essential' | 'carrier';
  /** Id in the book. */
  readonly oil: OilId;
  readonly lot: string;
  /** null: still closed. */
  readonly openedOn: string | null;
  /** What the maker printed; null: nothing. */
  readonly printedOn: string | null;
  readonly sizeMl: Millilitres;
  readonly leftMl: Millilitres;
  /** What the whole bottle cost, in hundredths of the house's money. */
  readonly costCents: number;
  /** Counted on this bottle; null: the table's figure. */
  readonly dropsPerMl: number | null;
}

/** The day `months` after a date; the last of the month where it has no such day. */
export function addMonths(date: string, months: number): string {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(day, last))).toISOString().slice(0, 10);
}

const earlier = (a: string | null, b: string | null): string | null => {
  if (a === null || b === null) return a ?? b;
  return a < b ? a : b;
};

/** Best before: from its opening by the kind of oil, or what is printed, whichever is earlier; null: not known. */
const bestBeforeOf = (bottle: Pick<Bottle, 'openedOn' | 'printedOn'>, shelfLifeMonthsOpened: number) =>
  earlier(bottle.printedOn, bottle.openedOn && addMonths(bottle.openedOn, shelfLifeMonthsOpened));

export type Freshness = 'closed' | 'fresh' | 'turning' | 'old';

export interface Ageing {
  readonly bestBefore: string | null;
  readonly freshness: Freshness;
  readonly words: string;
}

const turningDays = 42;

/** Whether a bottle is fresh on a day, and what to do when it is not: aged citrus, pine and tea tree sensitise skin. */
export function ageingOf(bottle: Bottle, of: EssentialOil | Carrier, onDate: string): Ageing {
  const bestBefore = bestBeforeOf(bottle, of.shelfLifeMonthsOpened);
  if (bestBefore !== null && bestBefore < onDate)
    return {
      bestBefore,
      freshness: 'old',
      words: isFastAgeing(of) ? oilsSays.discardAgedItSensitisesSkin : oilsSays.pastItsBestDiscard,
    };
  if (bottle.openedOn === null) return { bestBefore, freshness: 'closed', words: oilsSays.notOpenedYet };
  const days = bestBefore === null ? Infinity : daysBetween(onDate, bestBefore);
  if (days > turningDays) return { bestBefore, freshness: 'fresh', words: 'fresh' };
  return {
    bestBefore,
    freshness: 'turning',
    words: days <= 1 ? oilsSays.useTodayOrDiscard : oilsSays.useWithinDays(days),
  };
}

const fastFamilies = ['citrus', 'woody-green'];

/** Citrus, pine, fir and tea tree: rich in what the air turns into sensitisers. */
function isFastAgeing(of: EssentialOil | Carrier): boolean {
  if (!('odourFamily' in of)) return false;
  return (
    fastFamilies.some((family) => of.odourFamily.includes(family)) ||
    of.id === 'tea-tree' ||
    of.shelfLifeMonthsOpened <= 14
  );
}

export interface Draw {
  readonly bottle: number;
  readonly ml: Millilitres;
}

/**
 * Out of which bottles something comes: what is open before what is closed, the oldest first, and nothing that is old.
 * @returns what each gives, and how much is short (mL)
 */
export function drawFrom(
  bottles: readonly (Bottle & { readonly freshness: Freshness; readonly bestBefore: string | null })[],
  wantedMl: Millilitres,
): { readonly draws: readonly Draw[]; readonly shortMl: Millilitres } {
  const order = bottles
    .filter(({ freshness, leftMl }) => freshness !== 'old' && leftMl > 0)
    .sort(
      (a, b) =>
        Number(a.openedOn === null) - Number(b.openedOn === null) ||
        (a.bestBefore ?? '9').localeCompare(b.bestBefore ?? '9') ||
        a.id - b.id,
    );
  const draws: Draw[] = [];
  let short = wantedMl;
  for (const { id, leftMl } of order) {
    if (short <= tiny) break;
    const ml = Math.min(short, leftMl);
    draws.push({ bottle: id, ml });
    short -= ml;
  }
  return { draws, shortMl: short <= tiny ? 0 : short };
}

const tiny = 1e-9;

/** Price of a mL, and so of a drop. */
export const centsPerMl = ({ costCents, sizeMl }: Pick<Bottle, 'costCents' | 'sizeMl'>): number => costCents / sizeMl;

export interface ReorderLine {
  readonly kind: Bottle['kind'];
  readonly oil: OilId;
  readonly why: string;
}

const weeksAhead = 4;
const leastShare = 0.15;

/**
 * What to order: what will be used up or turn old within four weeks, as fast as it went in the last eight.
 * @param usedMl mL of each oil in the last eight weeks
 */
export function reorderList(
  bottles: readonly (Bottle & Ageing)[],
  usedMl: ReadonlyMap<string, number>,
  onDate: string,
): readonly ReorderLine[] {
  const keys = [...new Set(bottles.map(({ kind, oil }) => `${kind}:${oil}`))];
  return keys.flatMap((key): ReorderLine[] => {
    const own = bottles.filter(({ kind, oil }) => `${kind}:${oil}` === key);
    const [first] = own;
    if (!first) return [];
    const { kind, oil } = first;
    const good = own.filter(({ freshness }) => freshness !== 'old');
    const lasting = good.filter(
      ({ bestBefore }) => bestBefore === null || bestBefore > addDays(onDate, 7 * weeksAhead),
    );
    const left = sum(good);
    const weekly = (usedMl.get(key) ?? 0) / 8;
    const line = (why: string) => [{ kind, oil, why }];
    if (left <= tiny)
      return line(own.length > good.length ? oilsSays.theLastBottleIsOld : oilsSays.theLastBottleIsEmpty);
    if (weekly > 0 && left / weekly < weeksAhead) return line(oilsSays.lastsAtThisPace(weeks(left / weekly)));
    if (lasting.length === 0)
      return line(
        oilsSays.turnsOldOn(
          good
            .map(({ bestBefore }) => bestBefore)
            .sort()
            .at(-1) ?? '',
        ),
      );
    const size = Math.max(...good.map(({ sizeMl }) => sizeMl));
    return left < leastShare * size ? line(oilsSays.ofABottleLeft(Math.round((100 * left) / size))) : [];
  });
}

const sum = (bottles: readonly Bottle[]) => bottles.reduce((total, { leftMl }) => total + leftMl, 0);
const weeks = (count: number) =>
  count < 1 ? oilsSays.lessThanAWeek : count < 2 ? 'a week' : oilsSays.weeks(Math.floor(count));
