import { z } from 'zod';
import { HomeLogShape, HomePartShape, HomeRoutineShape } from './shapes/homecare';
import { HomeWish } from './home';
import { VisitView } from './visit-views';
import { homeRoutineIds } from '../core/homecare/sheet';

/** A routine that may be offered, with what it would begin from. */
export const HomeOffer = z.object({
  routine: HomeRoutineShape,
  title: z.string(),
  about: z.string(),
  takesSide: z.boolean(),
});
export type HomeOffer = z.infer<typeof HomeOffer>;

/** A sheet that a client was given. */
export const KeptSheet = z.object({
  id: z.number(),
  title: z.string(),
  wish: HomeWish,
  madeOn: z.string(),
  by: z.string(),
  isEnded: z.boolean(),
  log: HomeLogShape,
  /** Days on which it was done, oldest first. */
  days: z.array(z.string()).readonly(),
  /** Until when a link to it works; null without one. */
  linkUntil: z.string().nullable(),
  mostPerWeek: z.number(),
});
export type KeptSheet = z.infer<typeof KeptSheet>;

export const HomeView = z.object({
  visit: VisitView,
  offers: z.array(HomeOffer).readonly(),
  first: HomeWish,
  languages: z
    .array(
      z.object({
        id: z.string(),
        name: z.string(),
      }),
    )
    .readonly(),
  sheets: z.array(KeptSheet).readonly(),
  today: z.string(),
});
export type HomeView = z.infer<typeof HomeView>;

/** What the page behind a link shows: no name but the first, no illness, nothing of the record. */
export const HomePage = z.object({
  firstName: z.string(),
  house: z.string(),
  therapist: z.string(),
  phone: z.string(),
  language: z.string(),
  wish: z.object({
    /** A word of the therapist’s own, printed on the sheet. */
    note: z.string(),
    /** Times of the day that suit the client; one entry for each time that it is done. */
    times: z.array(z.string()).readonly(),
    daysPerWeek: z.number(),
  }),
  sheet: z.object({
    side: z.enum(['left', 'right', 'both']).nullable(),
    routine: z.enum(homeRoutineIds),
    parts: z.array(HomePartShape).readonly(),
    seconds: z.number(),
  }),
  linkUntil: z.string(),
  /** Days ticked in the last seven days. */
  thisWeek: z.array(z.string()).readonly(),
  mostPerWeek: z.number(),
  today: z.string(),
  /** From which day it may be done again; null: today. */
  againFrom: z.string().nullable(),
});
export type HomePage = z.infer<typeof HomePage>;
