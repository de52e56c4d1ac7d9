import { currencyIds } from '../core/money';
import { languageIds } from '../core/language';
import { z } from 'zod';
import { messageKinds } from '../core/messages/kinds';
import { messageWays } from '../core/messages/reach';
import { factorRules } from './sign-in';
import { TherapistView } from './people-views';
import { MeasuringInput } from './measures';
import { dateOrders } from '../core/calendar/read-date';

/** Somebody of the house, as the owner sees them. */
export const PersonView = TherapistView.extend({
  role: z.enum(['owner', 'therapist', 'assistant']),
  login: z.string(),
  canSignIn: z.boolean(),
  hasPin: z.boolean(),
  /** Signing in asks them for a second factor. */
  hasFactor: z.boolean(),
  leftOn: z.string().nullable(),
  isLearning: z.boolean(),
  /** Weekday 1 (Monday) to 7 → start and end. Empty: the house's usual hours. */
  hours: z.record(z.string(), z.tuple([z.string(), z.string()]).readonly()),
});
export type PersonView = z.infer<typeof PersonView>;

export const AuditView = z.object({
  entries: z
    .array(
      z.object({
        id: z.number(),
        when: z.string(),
        by: z.string(),
        action: z.string(),
        detail: z.string(),
        subject: z.string(),
        clientId: z.number().nullable(),
      }),
    )
    .readonly(),
  hasMore: z.boolean(),
});
export type AuditView = z.infer<typeof AuditView>;

/** What the owner sees to. */
export const HouseView = z.object({
  name: z.string(),
  phone: z.string(),
  people: z.array(PersonView).readonly(),
  qualifications: z
    .array(
      z.object({
        id: z.string(),
        label: z.string(),
      }),
    )
    .readonly(),
  wording: z.object({
    version: z.number(),
    paragraphs: z.array(z.string()).readonly(),
    others: z.partialRecord(z.enum(languageIds), z.array(z.string()).readonly()),
    since: z.string(),
  }),
  /** In which clients read who have not said another one. */
  language: z.enum(languageIds),
  currency: z.enum(currencyIds),
  /** Of the application. */
  version: z.string(),
  /** How dates are written in fields. */
  dateOrder: z.enum(dateOrders),
  /** Who needs a second factor to sign in. */
  secondFactor: z.enum(factorRules),
  audit: AuditView,
  measuring: MeasuringInput,
});
export type HouseView = z.infer<typeof HouseView>;

/** A message of the outbox. */
export const ReminderView = z.object({
  id: z.number(),
  visitId: z.number(),
  clientId: z.number(),
  client: z.string(),
  kind: z.enum(messageKinds),
  channel: z.enum(messageWays),
  address: z.string(),
  /** Over a mail. */
  subject: z.string(),
  words: z.string(),
  due: z.string(),
  isDue: z.boolean(),
  /** The client has said how they would like to be written to. */
  isAsked: z.boolean(),
  /** It goes out without anybody's doing. */
  isByItself: z.boolean(),
  /** When a mail that was put off is tried again; ''. */
  nextTry: z.string(),
  state: z.enum(['waiting', 'sent', 'failed', 'cancelled']),
  trouble: z.string(),
  settled: z.string(),
});
export type ReminderView = z.infer<typeof ReminderView>;

/** The mail server that is connected, as staff see it. */
export const MailView = z.object({
  server: z.string(),
  from: z.string(),
  /** When a mail last went out since the house was started; ''. */
  last: z.string(),
  /** Why none gets through; ''. */
  trouble: z.string(),
  since: z.string(),
});
export type MailView = z.infer<typeof MailView>;
