import type { Anatomy } from '../anatomy/place';
import type { Figure } from '../figure/figure';
import type { OilBook } from '../oils/book';
import type { FieldError } from '../result';
import type { ScreeningBook } from '../screening/book';
import type { StoneBook } from '../stones/book';
import type { SkillId } from './skills';
import type { Body } from './body';
import type { Draw } from './draw';
import type { Level } from './kinds';

/** Everything that knows an answer. */
export interface TrainingBooks {
  readonly anatomy: Anatomy;
  readonly figures: readonly Figure[];
  readonly oils: OilBook;
  readonly stones: StoneBook;
  readonly screening: ScreeningBook;
}

/** Something that was not right, with the rule that it breaks. */
export interface DrillFault {
  readonly rule: string;
  readonly text: string;
  /** The step of an order that it is found at, or that was left out. */
  readonly step?: string;
  /** What it shows not to be known, where its rule alone does not tell. */
  readonly skill?: SkillId;
}

export interface Judged {
  /** 0–1: 1 for every right answer. */
  readonly score: number;
  readonly faults: readonly DrillFault[];
}

/**
 * A small language of cases. `Case` is what the engine knows, `Question` what is shown of it, `Answer` what a person
 * gives; the best answer is one that is judged 1 without a fault.
 */
export interface Drill<Case, Question, Answer> {
  /**
   * @param body a course taken from a plan, instead of one that is drawn
   * @returns undefined where the draw made no sound case: the next one is tried
   */
  readonly make: (books: TrainingBooks, draw: Draw, level: Level, body: Body | undefined) => Case | undefined;
  readonly ask: (books: TrainingBooks, of: Case) => Question;
  /** An answer of another case: each error names its field. */
  readonly errors: (books: TrainingBooks, of: Case, answer: Answer) => readonly FieldError[];
  readonly judge: (books: TrainingBooks, of: Case, answer: Answer) => Judged;
  readonly best: (books: TrainingBooks, of: Case) => Answer;
  /** What a case asks of whoever answers it, what it is mostly about first; never nothing. */
  readonly skills: (books: TrainingBooks, of: Case) => readonly SkillId[];
}

/** Scores have three decimals, and nothing that is less than right rounds up to it. */
export const scoreOf = (value: number): number =>
  value >= 1 ? 1 : Math.min(0.999, Math.max(0, Math.round(value * 1000) / 1000));
