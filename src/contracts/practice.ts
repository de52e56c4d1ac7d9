import { z } from 'zod';
import { courseKinds, drillKinds, levels } from '../core/training/kinds';
import { DrillAnswerResponse, kind, level, seed } from './training';

const id = z.number().int().positive();
const day = z.iso.date('Give a day.');

/** Which case: drawn from a seed, or of a course that was taken from a plan. */
export const ChosenDrill = z.object({
  kind,
  level,
  seed,
  course: id.nullable().default(null),
  /** Set by a trainer. */
  set: id.nullable().default(null),
});
export type ChosenDrill = z.infer<typeof ChosenDrill>;

export const NextDrill = ChosenDrill.extend({
  /** The skill that it is given for. */
  why: z.string(),
});
export type NextDrill = z.infer<typeof NextDrill>;

const mostSeconds = 3600;

/** An answer that is kept; of the shape of its kind. */
export const PracticeAnswerInput = ChosenDrill.extend({
  answer: z.record(z.string(), z.unknown()).nullable(),
  seconds: z.number('Give seconds.').min(0, 'Not below 0 s.').max(mostSeconds, 'At most an hour.'),
});
export type PracticeAnswerInput = z.infer<typeof PracticeAnswerInput>;

export const SessionView = z.object({
  /** As the house writes it. */
  day: z.string(),
  seconds: z.number(),
  answers: z.number(),
  /** 0–1, of its answers. */
  mean: z.number(),
  isOver: z.boolean(),
});
export type SessionView = z.infer<typeof SessionView>;

export const PracticeMarked = DrillAnswerResponse.extend({
  /** Those of an order stand at their steps. */
  faults: z.array(z.object({ rule: z.string(), text: z.string(), step: z.string().optional() })).readonly(),
  session: SessionView,
  /** Titles of what comes back because of this answer. */
  comesBack: z.array(z.string()).readonly(),
});
export type PracticeMarked = z.infer<typeof PracticeMarked>;

export const SkillView = z.object({
  kind: z.enum(drillKinds),
  id: z.string(),
  title: z.string(),
  /** 0–1: how sure it is today; null before it was ever asked. */
  sure: z.number().nullable(),
  isDue: z.boolean(),
});
export type SkillView = z.infer<typeof SkillView>;

export const SetView = z.object({
  id,
  kind: z.enum(drillKinds),
  level: z.literal(levels),
  seed: z.number(),
  dueOn: z.string(),
  /** As the house writes it. */
  due: z.string(),
  /** Work that it is asked before; only mentioned, never forbidden. */
  work: z.string().nullable(),
  /** The best answer of whoever asks; null before the first. */
  best: z.number().nullable(),
});
export type SetView = z.infer<typeof SetView>;

export const KnownView = z.object({
  skills: z.array(SkillView).readonly(),
  dueToday: z.number(),
  /** The one that is not over yet. */
  session: SessionView.nullable(),
  sessions: z.array(SessionView).readonly(),
  sets: z.array(SetView).readonly(),
});
export type KnownView = z.infer<typeof KnownView>;

export const CourseInput = z.object({ visitId: id });
export const CourseQuestion = z.object({ question: z.record(z.string(), z.unknown()), key: z.string() });
export const courseKind = z.enum(courseKinds, `One of ${courseKinds.join(', ')}.`);

export const SetInput = z.object({
  kind,
  level,
  seed,
  dueOn: day,
  modality: z.string().min(1).max(60).nullable().default(null),
});
export type SetInput = z.infer<typeof SetInput>;

export const PersonKnows = z.object({
  id,
  name: z.string(),
  initials: z.string(),
  /** Mean sureness of what was asked, by kind; kinds that were never asked are left out. */
  kinds: z.array(z.object({ kind: z.enum(drillKinds), sure: z.number() })).readonly(),
  weakest: z.array(z.string()).readonly(),
  lastOn: z.string().nullable(),
  minutesOfWeek: z.number(),
  sets: z.array(z.object({ id, best: z.number().nullable() })).readonly(),
});
export type PersonKnows = z.infer<typeof PersonKnows>;

export const TeamView = z.object({
  people: z.array(PersonKnows).readonly(),
  sets: z.array(SetView).readonly(),
  works: z.array(z.object({ id: z.string(), label: z.string() })).readonly(),
});
export type TeamView = z.infer<typeof TeamView>;

/** Work of somebody for which a drill is asked that they have not yet done well. */
export const MentionView = z.object({
  modality: z.string(),
  /** The same as the house calls it. */
  work: z.string(),
  text: z.string(),
});
export type MentionView = z.infer<typeof MentionView>;
