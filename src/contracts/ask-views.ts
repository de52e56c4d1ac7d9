import { languageIds } from '../core/language';
import { z } from 'zod';
import { PlacedFinding, StageOrEnd } from './people-views';
import { CheckAnswersShape, VisitCheckShape } from './shapes/visit';
import { ConditionView, ScreeningView } from './screening-views';
import { VisitView } from './visit-views';

export const ConsentView = z.object({
  signedAt: z.string(),
  name: z.string(),
  signer: z.enum(['client', 'guardian']),
  areas: z.array(z.string()).readonly(),
  wordingVersion: z.number(),
  /** Asked for again each year, and when the wording has changed. */
  isDue: z.boolean(),
});
export type ConsentView = z.infer<typeof ConsentView>;

/** The wording of the consent, in the language in which this client reads it. */
const WordingView = z.object({
  version: z.number(),
  language: z.enum(languageIds),
  paragraphs: z.array(z.string()).readonly(),
});

/** What changes while one asks; every answer of the Ask view brings a new one. */
export const AskState = z.object({
  stage: StageOrEnd,
  findings: z.array(PlacedFinding).readonly(),
  /** Condition → newest answer of the intake. */
  intake: z.record(z.string(), z.enum(['yes', 'no', 'unsure'])),
  check: CheckAnswersShape,
  consent: ConsentView.nullable(),
  /** Medicines recognised in what was written, with findings that they stand for and that are not on record. */
  medicines: z
    .array(
      z.object({
        name: z.string(),
        label: z.string(),
        isCertain: z.boolean(),
        conditions: z.array(z.string()).readonly(),
      }),
    )
    .readonly(),
  pregnancy: z
    .object({
      weeks: z.number(),
      days: z.number(),
      condition: z.string(),
    })
    .nullable(),
  /** Findings that cannot both be so, in words. */
  contradictions: z.array(z.string()).readonly(),
  screening: ScreeningView,
});
export type AskState = z.infer<typeof AskState>;

/** What the Ask view opens with. */
export const AskView = z.object({
  visit: VisitView,
  state: AskState,
  conditions: z.array(ConditionView).readonly(),
  gates: z
    .array(
      z.object({
        group: z.string(),
        ask: z.string(),
        suchAs: z.string(),
      }),
    )
    .readonly(),
  check: VisitCheckShape,
  /** Why a full intake is due; null: the short check will do. */
  intakeDue: z.string().nullable(),
  wording: WordingView,
  medicines: z.string(),
  dueOn: z.string().nullable(),
  qualifications: z.array(z.string()).readonly(),
});
export type AskView = z.infer<typeof AskView>;

/** What is handed to the client: questions in plain words and the wording of the consent, nothing that was decided. */
export const TabletView = z.object({
  visitId: z.number(),
  language: z.enum(languageIds),
  firstName: z.string(),
  name: z.string(),
  house: z.string(),
  isMinor: z.boolean(),
  groups: z
    .array(
      z.object({
        group: z.string(),
        ask: z.string(),
        suchAs: z.string(),
        questions: z
          .array(
            z.object({
              id: z.string(),
              ask: z.string(),
            }),
          )
          .readonly(),
      }),
    )
    .readonly(),
  intake: z.record(z.string(), z.enum(['yes', 'no', 'unsure'])),
  wording: WordingView,
});
export type TabletView = z.infer<typeof TabletView>;

/** What a client sees when the tablet is turned round after the treatment. */
export const FeedbackTabletView = z.object({
  visitId: z.number(),
  language: z.enum(languageIds),
  firstName: z.string(),
  house: z.string(),
  isScented: z.boolean(),
});
export type FeedbackTabletView = z.infer<typeof FeedbackTabletView>;
