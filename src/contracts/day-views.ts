import { z } from 'zod';
import { ClientBrief, StageOrEnd, TherapistView } from './people-views';
import { stages } from '../core/visit/stage';

export const DayVisit = z.object({
  id: z.number(),
  time: z.string(),
  startsAt: z.string(),
  minutes: z.number(),
  stage: StageOrEnd,
  client: ClientBrief,
  therapist: TherapistView,
  work: z.string(),
  line: z.string(),
  tasks: z
    .array(
      z.object({
        text: z.string(),
        when: z.string(),
        done: z.boolean(),
        stage: z.enum(stages),
        /** Not usual at every visit: shown also when the visit is not the next one. */
        isPressing: z.boolean(),
      }),
    )
    .readonly(),
});
export type DayVisit = z.infer<typeof DayVisit>;

export const DayView = z.object({
  title: z.string(),
  date: z.string(),
  now: z.string(),
  house: z.string(),
  week: z
    .array(
      z.object({
        date: z.string(),
        weekday: z.string(),
        day: z.string(),
        visits: z.number(),
        isToday: z.boolean(),
      }),
    )
    .readonly(),
  visits: z.array(DayVisit).readonly(),
  looseEnds: z
    .array(
      z.object({
        text: z.string(),
        href: z.string(),
        what: z.string(),
      }),
    )
    .readonly(),
  /** Those who treat see what was found and go into visits; the front desk sees when people come and how to reach them. */
  mayTreat: z.boolean(),
  /** Messages of the outbox that are due or went wrong. */
  outbox: z.object({
    due: z.number(),
    failed: z.number(),
  }),
  /** The same weekday a week before and after. */
  before: z.string(),
  after: z.string(),
  therapists: z.array(TherapistView).readonly(),
});
export type DayView = z.infer<typeof DayView>;
