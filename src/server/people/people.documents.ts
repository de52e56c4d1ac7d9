import { z } from 'zod';
import { factorRules } from '../../contracts/sign-in';
import { MeasuringInput } from '../../contracts/measures';
import { SchoolShape } from '../../contracts/shapes/drainage';
import { StoneHabitsInput } from '../../contracts/stones';
import { currencyIds } from '../../core/money';
import { languageIds } from '../../core/language';
import { qualificationIds } from '../../core/drainage/case';
import { jsonColumn } from '../db/json-column';
import { dateOrders } from '../../core/calendar/read-date';

export const schoolColumn = jsonColumn('house.school_json', SchoolShape);
export const qualificationsColumn = jsonColumn(
  'therapist.qualifications_json',
  z.array(z.enum(qualificationIds)).readonly(),
);

/** Weekday 1 (Monday) to 7 → start and end, `9:00`–`17:30`; absent: does not work. Empty: 9 to 18, Monday to Saturday. */
const WorkingHours = z.record(z.string(), z.tuple([z.string(), z.string()]).readonly());
export type WorkingHours = z.infer<typeof WorkingHours>;
export const hoursColumn = jsonColumn('therapist.hours_json', WorkingHours);

/** Settings of the house that have no column of their own; what it has not decided is left out. */
const HouseSettings = z.object({
  phone: z.string().optional(),
  /** In which clients read who have not said another one. */
  language: z.enum(languageIds).optional(),
  currency: z.enum(currencyIds).optional(),
  /** How dates are written in fields; day first where it has not said. */
  dateOrder: z.enum(dateOrders).optional(),
  measuring: MeasuringInput.partial().optional(),
  stones: StoneHabitsInput.partial().optional(),
  /** Secret address of a calendar feed → whose it is. */
  /** Who needs a second factor to sign in. */
  secondFactor: z.enum(factorRules).optional(),
  feeds: z.record(z.string(), z.number()).optional(),
  /** Where backups go, what locks them, and how the last one went. */
  backup: z
    .object({
      folder: z.string(),
      passphrase: z.string(),
      lastGoodAt: z.string().optional(),
      trouble: z.string().optional(),
    })
    .optional(),
});
export type HouseSettings = z.infer<typeof HouseSettings>;
export const settingsColumn = jsonColumn('house.settings_json', HouseSettings);
