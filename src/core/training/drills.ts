import type { FieldError, Result } from '../result';
import { changeDrill } from './change';
import { directionDrill } from './direction';
import type { Drill, DrillKind, Judged, Level, TrainingBooks } from './drill';
import { drawOf } from './draw';
import { dropsDrill } from './drops';
import { heatDrill } from './heat';
import { orderDrill } from './order';
import { paceDrill } from './pace';
import { routeDrill } from './route';
import { screenDrill } from './screen';

const drills = {
  order: orderDrill,
  route: routeDrill,
  direction: directionDrill,
  pace: paceDrill,
  heat: heatDrill,
  drops: dropsDrill,
  screen: screenDrill,
  change: changeDrill,
} as const;

type Of<K extends DrillKind> = (typeof drills)[K] extends Drill<infer C, infer Q, infer A> ? Drill<C, Q, A> : never;
export type QuestionOf<K extends DrillKind> = ReturnType<Of<K>['ask']>;
export type AnswerOf<K extends DrillKind> = ReturnType<Of<K>['best']>;

/** Which drill, how hard, and the number that it is drawn from. */
export interface DrillWish {
  readonly kind: DrillKind;
  readonly level: Level;
  readonly seed: number;
}

export interface MarkedDrill extends Judged {
  readonly best: unknown;
}

type AnyDrill = Drill<unknown, unknown, unknown>;

const mostDraws = 400;

/** The case of a wish; the engine looks at each draw itself and takes the first sound one. */
function caseOf(
  books: TrainingBooks,
  { kind, level, seed }: DrillWish,
): { readonly drill: AnyDrill; readonly of: unknown } {
  const drill = drills[kind] as AnyDrill;
  for (let turn = 0; turn < mostDraws; turn += 1) {
    const of = drill.make(books, drawOf(kind, level, seed, turn), level);
    if (of !== undefined) return { drill, of };
  }
  throw new RangeError(`no sound case for ${kind} at level ${level} from ${seed}`);
}

/** What is shown of a case: the same for the same seed on every machine. */
export function questionOf(
  books: TrainingBooks,
  wish: DrillWish,
): { readonly question: unknown; readonly key: string } {
  const { drill, of } = caseOf(books, wish);
  return { question: drill.ask(books, of), key: `${wish.kind}-${wish.level}-${wish.seed}` };
}

/**
 * Judges an answer to a case; null is given up: nothing right, and the best answer to learn from.
 * Errors: an answer to another case; each names its field.
 */
export function markDrill(books: TrainingBooks, wish: DrillWish, answer: unknown): Result<MarkedDrill> {
  const { drill, of } = caseOf(books, wish);
  const best = drill.best(books, of);
  if (answer === null) return { ok: true, value: { score: 0, faults: [], best } };
  const errors: readonly FieldError[] = drill.errors(books, of, answer);
  if (errors.length > 0) return { ok: false, errors };
  return { ok: true, value: { ...drill.judge(books, of, answer), best } };
}
