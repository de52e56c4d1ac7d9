import { z } from 'zod';
import { FindingShape, SchoolShape } from '../../contracts/shapes/drainage';
import { purposes } from '../../core/drainage/case';
import { jsonColumn } from '../db/json-column';

/** How well a skill is remembered, as the spaced repetition keeps it. */
const PracticeCard = z.object({
  dueAt: z.string(),
  stability: z.number(),
  difficulty: z.number(),
  scheduledDays: z.number(),
  learningSteps: z.number(),
  repetitions: z.number(),
  lapses: z.number(),
  /** 0 new, 1 learning, 2 known, 3 learning again. */
  state: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]),
  lastAt: z.string(),
});
export type PracticeCard = z.infer<typeof PracticeCard>;
export const cardColumn = jsonColumn('practice_card.card_json', PracticeCard);

/** Skills that an answer did not show. */
export const brokenColumn = jsonColumn('practice_answer.broken_json', z.array(z.string()).readonly());

export const courseColumn = jsonColumn(
  'practice_course.case_json',
  z.object({
    focus: z.array(z.string()).readonly(),
    purpose: z.enum(purposes),
    findings: z.array(FindingShape).readonly(),
    school: SchoolShape,
    minutes: z.number(),
    fill: z.boolean(),
  }),
);
