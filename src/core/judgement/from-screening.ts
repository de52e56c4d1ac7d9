import { findHindrances } from '../drainage/hindrance';
import type { ScreeningBook } from '../screening/book';
import { drainageFindings, type RecordedCondition } from '../drainage/from-screening';
import type { ReadScreening } from '../screening/read-request';
import { heldWith } from '../screening/scope';
import { type Screening, sourcesOf } from '../screening/screen';
import {
  emptyLedger,
  type FrequencyRule,
  type Irritation,
  type JudgedCase,
  type Judgement,
  type Ledger,
  makeJudgement,
} from './judgement';

/** Skin that the tags of findings call reactive. */
const reactiveTag = 'face-reactive';

/**
 * The judgement of a screened case.
 * @param screening all kinds of work screened from `read`, with notes and overrides applied
 * @param conditions as they stand on the record, with what scars cross
 */
export function judgementOf(
  book: ScreeningBook,
  read: ReadScreening,
  screening: Screening,
  input: {
    readonly conditions: readonly RecordedCondition[];
    readonly frequencyRules: readonly FrequencyRule[];
    readonly lifted?: ReadonlySet<string>;
    readonly ledger?: Ledger;
    readonly irritated?: JudgedCase['irritated'];
  },
): Judgement {
  const findings = drainageFindings(book, input.conditions);
  const none: ReadonlyMap<string, Irritation> = new Map();
  return makeJudgement(
    book,
    {
      screening,
      sources: sourcesOf(book, read),
      lifted: input.lifted ?? new Set(),
      qualifications: heldWith(book.qualifications, read.qualifications),
      closedGroups: findHindrances(book.anatomy, findings).blocked,
      ledger: input.ledger ?? emptyLedger,
      reactiveFace: read.conditions.filter(({ condition }) => condition.tags.includes(reactiveTag)).map(({ id }) => id),
      irritated: input.irritated ?? none,
    },
    input.frequencyRules,
  );
}
