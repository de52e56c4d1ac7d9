import type { FieldError, Result } from '../result';
import { changeDrill } from './change';
import { countDrill } from './count';
import { directionDrill } from './direction';
import type { Body } from './body';
import type { Drill, Judged, TrainingBooks } from './drill';
import type { DrillKind, Level } from './kinds';
import { drawOf } from './draw';
import { dropsDrill } from './drops';
import { heatDrill } from './heat';
import { orderDrill } from './order';
import { paceDrill } from './pace';
import { routeDrill } from './route';
import { screenDrill } from './screen';
import { skillBehind, type SkillId } from './skills';

const drills = {
  order: orderDrill,
  route: routeDrill,
  direction: directionDrill,
  pace: paceDrill,
  count: countDrill,
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
  /** A course taken from a plan, instead of a body that is drawn; for drills on bodies. */
  readonly body?: Body | undefined;
}

export interface MarkedDrill extends Judged {
  readonly best: unknown;
  /** What the case asks for, and what of it the answer did not show. */
  readonly skills: readonly SkillId[];
  readonly broken: readonly SkillId[];
}

type AnyDrill = Drill<unknown, unknown, unknown>;

/** Thrown where a course taken from a plan has no such drill in it: no way that leads round, too few steps. */
export class NoSoundCase extends RangeError {}

const mostDraws = 400;

/** The case of a wish; the engine looks at each draw itself and takes the first sound one. */
function caseOf(
  books: TrainingBooks,
  { kind, level, seed, body }: DrillWish,
): { readonly drill: AnyDrill; readonly of: unknown } {
  const drill = drills[kind] as AnyDrill;
  const draws = body ? 1 : mostDraws;
  for (let turn = 0; turn < draws; turn += 1) {
    const of = drill.make(books, drawOf(kind, level, seed, turn), level, body);
    if (of !== undefined) return { drill, of };
  }
  throw new NoSoundCase(`${kind}-${level}-${seed}`);
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
  const { kind } = wish;
  const best = drill.best(books, of);
  const skills = drill.skills(books, of);
  const [mostly] = skills as readonly [SkillId];
  if (answer === null) return { ok: true, value: { score: 0, faults: [], best, skills, broken: skills } };
  const errors: readonly FieldError[] = drill.errors(books, of, answer);
  if (errors.length > 0) return { ok: false, errors };
  const { score, faults } = drill.judge(books, of, answer);
  return {
    ok: true,
    value: {
      ...{
        score,
        best,
        skills,
        faults: faults.map(({ rule, text, step }) => ({ rule, text, ...(step !== undefined && { step }) })),
      },
      broken: [...new Set(faults.map(({ rule, skill }) => skill ?? skillBehind(kind, rule) ?? mostly))],
    },
  };
}

/** What a case asks of whoever answers it. */
export function skillsIn(books: TrainingBooks, wish: DrillWish): readonly SkillId[] {
  const { drill, of } = caseOf(books, wish);
  return drill.skills(books, of);
}
