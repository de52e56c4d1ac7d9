import type { KnownView, SessionView, SetView, SkillView } from '../../contracts/practice';
import type { TherapistId } from '../../core/ids';
import { practisedSeconds } from '../../core/training/session';
import { skills } from '../../core/training/skills';
import { screeningBook } from '../../catalogue/screening/screening';
import type { Db } from '../db/connection';
import { isoDay, shortDay } from '../shared/house-clock';
import { isDue, sureness } from './cards';
import type { PracticeCard } from './practice.documents';
import {
  type KeptAnswer,
  type KeptSession,
  type KeptSet,
  listAnswers,
  listSessions,
  listSets,
  readCards,
} from './practice.repository';

const shownSessions = 14;

export function sessionView(session: KeptSession, answers: readonly KeptAnswer[]): SessionView {
  const own = answers.filter(({ sessionId }) => sessionId === session.id);
  return {
    day: shortDay(session.beganAt),
    seconds: Math.round(session.seconds),
    answers: own.length,
    mean: own.length === 0 ? 0 : own.reduce((sum, { score }) => sum + score, 0) / own.length,
    isOver: session.endedAt !== null,
  };
}

/** Minutes that were practised: a case that was left lying counts as in its session. */
export const minutesOf = (answers: readonly KeptAnswer[]): number =>
  Math.round(answers.reduce((sum, { seconds }) => sum + practisedSeconds(seconds), 0) / 60);

export const workLabel = (id: string): string => screeningBook.modalities.get(id)?.label ?? id;

export const setView = (set: KeptSet, answers: readonly KeptAnswer[]): SetView => ({
  ...{ id: set.id, kind: set.kind, level: set.level, seed: set.seed, dueOn: set.dueOn, due: shortDay(set.dueOn) },
  work: set.modality === null ? null : workLabel(set.modality),
  best: bestOf(set, answers),
});

export function bestOf(set: KeptSet, answers: readonly KeptAnswer[]): number | null {
  const scores = answers.filter(({ setId }) => setId === set.id).map(({ score }) => score);
  return scores.length === 0 ? null : Math.max(...scores);
}

export const skillViews = (cards: ReadonlyMap<string, PracticeCard>, now: Date): readonly SkillView[] =>
  skills.map(({ kind, id, title }) => {
    const card = cards.get(id);
    return { kind, id, title, sure: card ? sureness(card, now) : null, isDue: card !== undefined && isDue(card, now) };
  });

/** What somebody knows, when they practised, and what is set. */
export async function readKnown(db: Db, person: TherapistId, now: Date): Promise<KnownView> {
  const [cards, answers, sessions, sets] = await Promise.all([
    readCards(db, person),
    listAnswers(db, person),
    listSessions(db, person),
    listSets(db),
  ]);
  const views = skillViews(cards, now);
  const today = isoDay(now.toISOString());
  const open = sessions.find(({ endedAt, beganAt }) => endedAt === null && isoDay(beganAt) === today);
  return {
    skills: views,
    dueToday: [...cards.values()].filter(({ dueAt }) => isoDay(dueAt) <= today).length,
    session: open ? sessionView(open, answers) : null,
    sessions: sessions.slice(0, shownSessions).map((session) => sessionView(session, answers)),
    sets: sets.map((set) => setView(set, answers)),
  };
}
