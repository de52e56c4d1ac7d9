import { type Card, createEmptyCard, fsrs, Rating as Grade } from 'ts-fsrs';
import type { Rating } from '../../core/training/rating';
import type { PracticeCard } from './practice.documents';

const scheduler = fsrs({ enable_fuzz: false });
const gradeOf = { again: Grade.Again, hard: Grade.Hard, good: Grade.Good, easy: Grade.Easy } as const;

/** From so many days on a skill that is not due counts as sure. */
const firmDays = 21;

const toCard = (kept: PracticeCard): Card => ({
  due: new Date(kept.dueAt),
  stability: kept.stability,
  difficulty: kept.difficulty,
  elapsed_days: 0,
  scheduled_days: kept.scheduledDays,
  learning_steps: kept.learningSteps,
  reps: kept.repetitions,
  lapses: kept.lapses,
  state: kept.state,
  last_review: new Date(kept.lastAt),
});

/** A card after one more answer. @param kept undefined before the first */
export function rated(kept: PracticeCard | undefined, rating: Rating, now: Date): PracticeCard {
  const { card } = scheduler.next(kept ? toCard(kept) : createEmptyCard(now), now, gradeOf[rating]);
  return {
    dueAt: card.due.toISOString(),
    stability: card.stability,
    difficulty: card.difficulty,
    scheduledDays: card.scheduled_days,
    learningSteps: card.learning_steps,
    repetitions: card.reps,
    lapses: card.lapses,
    state: card.state,
    lastAt: now.toISOString(),
  };
}

export const isDue = (kept: PracticeCard, now: Date): boolean => kept.dueAt <= now.toISOString();

/**
 * How sure a skill is at a moment, 0–1: the chance that it is remembered, times how long it has held so far (three
 * weeks count as firm, by the logarithm of the days).
 */
export function sureness(kept: PracticeCard, now: Date): number {
  const chance = scheduler.get_retrievability(toCard(kept), now, false);
  return chance * Math.min(1, Math.log1p(kept.stability) / Math.log1p(firmDays));
}
