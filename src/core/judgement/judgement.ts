import type { Anatomy, PlaceId } from '../anatomy/place';
import type { BlockCause } from '../drainage/hindrance';
import { type ScreeningBook, skinOf } from '../screening/book';
import { mergeLimits } from '../screening/limits';
import type { ModalityAnswer, RegionAnswer, Screening, Source } from '../screening/screen';
import { type Decision, type LimitKey, type Limits, rankOf, worseOf } from '../screening/tables';
import type { SkinRule } from './reasons';

/** Rules on how often and how close together a kind of work may be given. */
export interface FrequencyRule {
  readonly id: string;
  readonly modality: string;
  readonly mostInSevenDays: number;
  readonly minGapHours: number;
}

/** What was given before: from the ledger of visits and of what is done at home, the same day included. */
export interface Ledger {
  /** Kind of work → how often in the seven days before. */
  readonly timesThisWeek: ReadonlyMap<string, number>;
  /** Kind of work → hours since it was given last; absent when not known, or long ago. */
  readonly hoursSince: ReadonlyMap<string, number>;
}

export const emptyLedger: Ledger = { timesThisWeek: new Map(), hoursSince: new Map() };

/** Skin that is irritated today at a place. */
export interface Irritation {
  readonly rule: SkinRule;
  readonly grade: number;
}

/** All that a judgement is made from: one client, one day, one therapist. */
export interface JudgedCase {
  readonly screening: Pick<Screening, 'byModality' | 'regions'>;
  readonly sources: ReadonlyMap<string, readonly Source[]>;
  /** Kinds of work whose stop was set aside in writing. */
  readonly lifted: ReadonlySet<string>;
  readonly qualifications: ReadonlySet<string>;
  readonly closedGroups: ReadonlyMap<PlaceId, BlockCause>;
  readonly ledger: Ledger;
  /** Ids of findings that say that the face reacts to much. */
  readonly reactiveFace: readonly string[];
  readonly irritated: ReadonlyMap<PlaceId, Irritation>;
}

/**
 * What is decided for one client on one day, laid out so that any step, bottle, stone, sheet or print can be asked
 * about. Made once for a case.
 */
export interface Judgement extends JudgedCase {
  readonly anatomy: Anatomy;
  readonly book: ScreeningBook;
  readonly frequencyRules: readonly FrequencyRule[];
  /** What is decided for a kind of work; undefined when it was not screened. */
  kind(modality: string): KindJudgement | undefined;
}

/** One kind of work of one client. */
export interface KindJudgement {
  readonly modality: string;
  /** As the kind of work of a block: scope, overrides and notes included. */
  readonly answer: ModalityAnswer;
  readonly rows: ReadonlyMap<PlaceId, RegionAnswer>;
  /** Without its own scope: what findings decide for the whole of it, and the worst of them. */
  readonly found: { readonly decision: Decision; readonly source: Source | undefined; readonly limits: Limits };
  readonly sources: readonly Source[];
  /** What findings decide at a place alone, with the limits that they set there. */
  at(
    place: PlaceId,
  ): { readonly decision: Decision; readonly source: Source | undefined; readonly limits: Limits } | undefined;
  /** Territories that lie too near to a mark, with the effect that keeps them away. */
  readonly margins: ReadonlyMap<PlaceId, Source>;
}

export function makeJudgement(
  book: ScreeningBook,
  input: JudgedCase,
  frequencyRules: readonly FrequencyRule[],
): Judgement {
  const kinds = new Map<string, KindJudgement | undefined>();
  return {
    ...input,
    anatomy: book.anatomy,
    book,
    frequencyRules,
    kind(modality) {
      if (!kinds.has(modality)) kinds.set(modality, judgeKind(book, input, modality));
      return kinds.get(modality);
    },
  };
}

function judgeKind(book: ScreeningBook, input: JudgedCase, modality: string): KindJudgement | undefined {
  const answer = input.screening.byModality.find((one) => one.modality === modality);
  if (!answer) return undefined;
  const sources = input.sources.get(modality) ?? [];
  const whole = sources.filter(({ where }) => where === 'whole');
  const rows = new Map(
    input.screening.regions.filter((row) => row.modality === modality).map((row) => [row.region, row]),
  );
  const decision = input.lifted.has(modality) ? 'modify' : worstOf(whole);
  const places = new Map<PlaceId, ReturnType<KindJudgement['at']>>();
  return {
    modality,
    answer,
    rows,
    sources,
    found: {
      decision,
      source: worstSource(whole),
      limits: withoutBaseline(answer.limits, book.modalities.get(modality)?.baseline ?? {}),
    },
    at(place) {
      if (!places.has(place)) {
        const local = sources.filter(({ where }) => where !== 'whole' && where.includes(place));
        places.set(
          place,
          local.length === 0
            ? undefined
            : { decision: worstOf(local), source: worstSource(local), limits: merged(book, local) },
        );
      }
      return places.get(place);
    },
    margins: marginsOf(book, sources),
  };
}

const worstOf = (sources: readonly Source[]) =>
  sources.reduce<Decision>((worst, { reason }) => worseOf(worst, reason.decision), 'ok');

const worstSource = (sources: readonly Source[]) =>
  sources.reduce<Source | undefined>(
    (worst, one) => (worst && rankOf(worst.reason.decision) >= rankOf(one.reason.decision) ? worst : one),
    undefined,
  );

const merged = (book: ScreeningBook, sources: readonly Source[]) =>
  sources.reduce<Limits>((limits, source) => mergeLimits(book.limitKeys, limits, source.limits), {});

const withoutBaseline = (limits: Limits, baseline: Limits): Limits =>
  Object.fromEntries(
    Object.entries(limits).filter(
      ([key, value]) => JSON.stringify(baseline[key as LimitKey]) !== JSON.stringify(value),
    ),
  );

const nearCm = 5;

/**
 * Within 5 cm the marked territory is left out, further away its neighbours too. What is kept away from goes by where
 * the finding was marked, whether its effect holds there or for the whole kind of work.
 */
function marginsOf(book: ScreeningBook, sources: readonly Source[]): ReadonlyMap<PlaceId, Source> {
  const margins = new Map<PlaceId, Source>();
  for (const source of sources) {
    const cm = source.limits.keepAwayCm;
    if (cm === undefined || !source.marks) continue;
    for (const mark of source.marks) {
      for (const place of cm <= nearCm ? [mark] : [mark, ...neighboursOf(book.anatomy, mark)])
        if (!margins.has(place)) margins.set(place, source);
    }
  }
  return margins;
}

const neighbours = new WeakMap<Anatomy, Map<PlaceId, readonly PlaceId[]>>();

/** Territories that a way leads to or from directly. */
export function neighboursOf(anatomy: Anatomy, place: PlaceId): readonly PlaceId[] {
  let known = neighbours.get(anatomy);
  if (!known) {
    const sets = new Map<PlaceId, Set<PlaceId>>([...anatomy.territories.keys()].map((id) => [id, new Set()]));
    for (const { from, to } of anatomy.edges) {
      if (!sets.has(from) || !sets.has(to)) continue;
      sets.get(from)?.add(to);
      sets.get(to)?.add(from);
    }
    known = new Map([...sets].map(([id, set]) => [id, [...set].sort()]));
    neighbours.set(anatomy, known);
  }
  return known.get(place) ?? [];
}

/** The skin under a place: itself, or what lies over a node group. */
export const skinUnder = (book: ScreeningBook, place: PlaceId): readonly PlaceId[] => skinOf(book, place);
