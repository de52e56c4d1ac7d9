import { z } from 'zod';
import { FollowedSheet, HomeLogShape, HomeRoutineShape } from './shapes/homecare';
import { HomeWish } from './home';
import { VisitHeadView } from './visit-views';

/** A routine that may be offered, with what it would begin from. */
export const HomeOffer = z.object({
  routine: HomeRoutineShape,
  title: z.string(),
  about: z.string(),
  /** Why not more often, where screening says so; empty where the routine does. */
  whyNotMore: z.string(),
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
  visit: VisitHeadView,
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
  wish: HomeWish.pick({ times: true, daysPerWeek: true, note: true }),
  sheet: FollowedSheet,
  linkUntil: z.string(),
  /** Days ticked in the last seven days. */
  thisWeek: z.array(z.string()).readonly(),
  mostPerWeek: z.number(),
  today: z.string(),
  /** From which day it may be done again; null: today. */
  againFrom: z.string().nullable(),
});
export type HomePage = z.infer<typeof HomePage>;
