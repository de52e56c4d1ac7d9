import { z } from 'zod';
import { ClientBrief, PlacedFinding, StageOrEnd, TherapistView } from './people-views';
import { ClosingView } from './closing-view';
import { ClientInput } from './record';
import { LastWork } from './last-work';
import { volumeUnits } from '../core/volume-units';
import { ConditionView } from './screening-views';
import { CautionShape } from './shapes/screening';
import { ConsentView } from './ask-views';

/** Somebody on record who may be the same person. */
export const Double = z.object({
  id: z.number(),
  name: z.string(),
  bornOn: z.string().nullable(),
  /** What makes one think so, in words. */
  why: z.string(),
});
export type Double = z.infer<typeof Double>;

export const HistoryEntry = z.object({
  visitId: z.number(),
  date: z.string(),
  isoDate: z.string(),
  stage: StageOrEnd,
  work: z.string(),
  therapist: z.string(),
  excessMl: z.number().nullable(),
  excessSdMl: z.number().nullable(),
  afterExcessMl: z.number().nullable(),
  limb: z.enum(['arm', 'leg']).nullable(),
  steps: z.number().nullable(),
  closing: ClosingView.nullable(),
  /** Change of the excess since the visit before, in words with its error. */
  change: z
    .object({
      ml: z.number(),
      beyond: z.boolean(),
      limitMl: z.number(),
    })
    .nullable(),
});
export type HistoryEntry = z.infer<typeof HistoryEntry>;

/** How often a kind of work was done, for limits such as twice in seven days. */
export const LedgerRow = z.object({
  modality: z.string(),
  label: z.string(),
  inSevenDays: z.number(),
  inThirtyDays: z.number(),
  inAll: z.number(),
  /** Of these, ticked off at home. */
  atHome: z.number(),
  last: z.string().nullable(),
  mostPerWeek: z.number().nullable(),
});
export type LedgerRow = z.infer<typeof LedgerRow>;

/** Something on the record that was corrected: what it was, who changed it and when. */
export const CorrectionView = z.object({
  at: z.string(),
  when: z.string(),
  by: z.string(),
  what: z.string(),
  was: z.string(),
  why: z.string(),
});
export type CorrectionView = z.infer<typeof CorrectionView>;

export const FileView = z.object({
  id: z.number(),
  name: z.string(),
  mediaType: z.string(),
  bytes: z.number(),
  addedAt: z.string(),
});
export type FileView = z.infer<typeof FileView>;

/** A free time for a visit. */
export const ProposalView = z.object({
  startsAt: z.string(),
  date: z.string(),
  day: z.string(),
  time: z.string(),
  /** When stones go into the bath; null when nothing is warmed. */
  warmUpFrom: z.string().nullable(),
  therapistId: z.number(),
  therapist: z.string(),
  why: z.string(),
});
export type ProposalView = z.infer<typeof ProposalView>;

export const BookedView = z.object({
  id: z.number(),
  date: z.string(),
  time: z.string(),
  minutes: z.number(),
  work: z.string(),
  therapist: z.string(),
  therapistId: z.number(),
  isSeries: z.boolean(),
});
export type BookedView = z.infer<typeof BookedView>;

/** What the front desk may see and change. */
export const ClientContactView = z.object({
  client: ClientBrief,
  data: ClientInput,
  version: z.number(),
  /** When they said how they would like to be written to; ''. */
  messagesSaidOn: z.string(),
  isArchived: z.boolean(),
  mergedInto: z.number().nullable(),
  booked: z.array(BookedView).readonly(),
  therapists: z.array(TherapistView).readonly(),
  /** What the newest visit was booked for, to book the same again. */
  lastWork: LastWork.nullable(),
  /** A note is missing or has run out; for what is not said. */
  isNoteMissing: z.boolean(),
});
export type ClientContactView = z.infer<typeof ClientContactView>;

export const ClientView = ClientContactView.extend({
  volumeUnit: z.enum(volumeUnits),
  /** What the client has said three times in a row and would like otherwise. */
  preferences: z.array(z.string()).readonly(),
  /** The newest first. */
  patchTests: z
    .array(
      z.object({
        id: z.number(),
        what: z.string(),
        words: z.string(),
      }),
    )
    .readonly(),
  findings: z.array(PlacedFinding).readonly(),
  conditions: z.array(ConditionView).readonly(),
  history: z.array(HistoryEntry).readonly(),
  cautions: z.array(CautionShape).readonly(),
  ledger: z.array(LedgerRow).readonly(),
  corrections: z.array(CorrectionView).readonly(),
  files: z.array(FileView).readonly(),
  consent: ConsentView.nullable(),
  duplicates: z.array(Double).readonly(),
});
export type ClientView = z.infer<typeof ClientView>;

export const FoundClient = z.object({
  id: z.number(),
  isArchived: z.boolean(),
  email: z.string(),
  name: z.string(),
  age: z.number().nullable(),
  phone: z.string(),
  lastVisit: z.string().nullable(),
});
export type FoundClient = z.infer<typeof FoundClient>;
