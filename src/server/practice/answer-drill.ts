import { anatomy } from '../../catalogue/anatomy';
import { trainingBooks } from '../../catalogue/training';
import type { ChosenDrill, PracticeAnswerInput, PracticeMarked } from '../../contracts/practice';
import { answerOf } from '../../contracts/training';
import type { TherapistId } from '../../core/ids';
import { bodyOfCourse } from '../../core/training/bodies';
import type { Body } from '../../core/training/body';
import { courseKinds } from '../../core/training/kinds';
import { type MarkedDrill, markDrill, NoSoundCase } from '../../core/training/drills';
import { ratingsOf } from '../../core/training/rating';
import { practisedSeconds, sessionSeconds } from '../../core/training/session';
import { skillOf } from '../../core/training/skills';
import type { FieldError, Result } from '../../core/result';
import type { Db } from '../db/connection';
import { isoDay } from '../shared/house-clock';
import type { SaveRefusal } from '../shared/saving';
import { rated } from './cards';
import { practiceAnswers } from './practice.answers';
import {
  findCourse,
  insertAnswer,
  insertSession,
  type KeptSession,
  listAnswers,
  listSessions,
  listSets,
  putCard,
  readCards,
  updateSession,
} from './practice.repository';
import { sessionView } from './read-known';

/** Judges an answer, keeps it, and moves the cards of what it showed: one unit of work. */
export async function answerDrill(
  db: Db,
  person: TherapistId,
  input: PracticeAnswerInput,
  now: Date,
): Promise<PracticeMarked | SaveRefusal> {
  const { kind, level, seed, course, set } = input;
  const body = course === null ? undefined : await readBody(db, person, course);
  if (course !== null && !body) return { kind: 'not-found' };
  if (body && !body.ok) return { kind: 'refused', errors: body.errors };
  if (body && !courseKinds.some((one) => one === kind))
    return refused('kind', practiceAnswers.aCourseIsPractisedIn(courseKinds.join(', ')));
  const asked = set === null ? undefined : (await listSets(db)).find((one) => one.id === set);
  if (set !== null && !asked) return refused('set', practiceAnswers.thatDrillHasEnded);
  if (asked && (course !== null || asked.kind !== kind || asked.level !== level || asked.seed !== seed))
    return refused('set', practiceAnswers.isAnotherCase);
  const read = answerOf(kind).safeParse(input.answer);
  if (!read.success) return { kind: 'refused', errors: errorsOf(read.error.issues) };
  const marked = markOr(() => markDrill(trainingBooks, { kind, level, seed, body: body?.value }, read.data));
  if (!marked) return refused('course', practiceAnswers.noDrillInThisCourse);
  if (!marked.ok) return { kind: 'refused', errors: marked.errors.map((one) => under(one)) };
  const { value } = marked;
  const isGivenUp = input.answer === null;
  return db.transaction().execute((trx) => keepAnswer(trx, person, { input, marked: value, isGivenUp }, now));
}

interface Given {
  readonly input: ChosenDrill & { readonly seconds: number };
  readonly marked: MarkedDrill;
  readonly isGivenUp: boolean;
}

/** Keeps an answer that was judged, in the session that runs, and moves the cards of what it showed. */
export async function keepAnswer(db: Db, person: TherapistId, given: Given, now: Date): Promise<PracticeMarked> {
  const { kind, level, seed, course, set, seconds } = given.input;
  const { score, faults, best, skills, broken } = given.marked;
  const ratings = ratingsOf({ kind, score, seconds, isGivenUp: given.isGivenUp, skills, broken });
  const at = now.toISOString();
  const session = await sessionAt(db, person, now);
  const practised = session.seconds + practisedSeconds(seconds);
  const endedAt = practised >= sessionSeconds ? at : null;
  await updateSession(db, { id: session.id, seconds: practised, endedAt });
  await insertAnswer(db, person, {
    ...{ sessionId: session.id, setId: set, courseId: course, at, kind, level, seed, score, seconds, broken },
  });
  const cards = await readCards(db, person);
  for (const [id, rating] of ratings) await putCard(db, person, id, rated(cards.get(id), rating, now));
  const answers = (await listAnswers(db, person)).filter(({ sessionId }) => sessionId === session.id);
  return {
    ...{ score, faults, best: best as Record<string, unknown> },
    session: sessionView({ ...session, seconds: practised, endedAt }, answers),
    comesBack: [...ratings].flatMap(([id, rating]) =>
      rating === 'again' || rating === 'hard' ? (skillOf(id)?.title ?? []) : [],
    ),
  };
}

/** A course with its words. @returns undefined for one that is not one’s own */
export async function readBody(db: Db, person: TherapistId, course: number): Promise<Result<Body> | undefined> {
  const of = await findCourse(db, person, course);
  return of && bodyOfCourse(anatomy, of);
}

/** @returns undefined where a course has no such drill in it */
export function markOr<T>(mark: () => T): T | undefined {
  try {
    return mark();
  } catch (error) {
    if (error instanceof NoSoundCase) return undefined;
    throw error;
  }
}

/** The session that is not over; one of another day is left as it was, and a new one begins. */
async function sessionAt(db: Db, person: TherapistId, now: Date): Promise<KeptSession> {
  const at = now.toISOString();
  const [newest] = await listSessions(db, person);
  if (!newest || newest.endedAt !== null) return insertSession(db, person, at);
  if (isoDay(newest.beganAt) === isoDay(at)) return newest;
  await updateSession(db, { ...newest, endedAt: at });
  return insertSession(db, person, at);
}

const refused = (path: string, message: string): SaveRefusal => ({ kind: 'refused', errors: [{ path, message }] });
const under = ({ path, message }: FieldError): FieldError => ({ path: `answer.${path}`, message });
const errorsOf = (issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]) =>
  issues.map(({ path, message }) => ({ path: ['answer', ...path.map(String)].join('.'), message }));
