import { currencyIds } from '../core/money';
import { languageIds } from '../core/language';
import { z } from 'zod';
import { homeRoutineIds } from '../core/homecare/sheet';
import { dateOrders } from '../core/calendar/read-date';

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 07:30.');

/** What a therapist wishes for a client’s sheet. */
export const HomeWish = z.object({
  routine: z.enum(homeRoutineIds, `One of ${homeRoutineIds.join(', ')}.`),
  /** For routines about one side; null for the others. */
  side: z.enum(['left', 'right', 'both']).nullable(),
  minutes: z.number().int().min(2, 'At least 2 minutes.').max(30, 'At most 30 minutes: shorter is done more often.'),
  reach: z.object({ bends: z.boolean(), usesLeft: z.boolean(), usesRight: z.boolean() }),
  /** Times of the day that suit the client; one entry for each time that it is done. */
  times: z.array(clock).min(1, 'At least one time of the day.').max(3, 'At most three times a day.'),
  daysPerWeek: z.number().int().min(1, 'At least one day a week.').max(7, 'A week has 7 days.'),
  language: z.string().min(2).max(12),
  /** A word of the therapist’s own, printed on the sheet. */
  note: z.string().max(400, 'Keep the note within 400 characters.').default(''),
});
export type HomeWish = z.infer<typeof HomeWish>;

/** `keep`: make it the client’s sheet; else it is only shown. */
export const HomeSheetInput = z.object({ wish: HomeWish, keep: z.boolean() });

export const HomeLinkInput = z.object({
  days: z.number().int().min(1, 'At least one day.').max(180, 'At most 180 days.'),
});

/** Whom clients ring, and in which language they read who have not said another one; what is left out stays. */
export const HouseFactsInput = z.object({
  phone: z.string().trim().max(40, 'Keep the phone number within 40 characters.').optional(),
  language: z.enum(languageIds).optional(),
  currency: z.enum(currencyIds).optional(),
  dateOrder: z.enum(dateOrders).optional(),
});
export type HouseFactsInput = z.infer<typeof HouseFactsInput>;

const day = z.iso.date('A day such as 2026-11-25.');
/** Days of the paper log. */
export const HomeLogInput = z.object({ days: z.array(day).min(1, 'Tick at least one day.').max(200) });
/** From the page behind the link. `id` is made by the phone, so that sending twice ticks once. */
export const HomeTickInput = z.object({ id: z.string().min(8).max(60), day });
