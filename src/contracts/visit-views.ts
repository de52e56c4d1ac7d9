import { z } from 'zod';
import { ChangeView } from './change-views';
import { PicturesView } from './picture-views';
import { RememberedView } from './remembered-views';
import { tapingPhases } from '../core/swelling/taping-context';
import { volumeMethods } from '../core/swelling/volume';
import {
  GirthShape,
  LimbShape,
  LimbVolumeShape,
  PassShape,
  TapingContextShape,
  VolumeSettingsShape,
} from './shapes/swelling';
import { lengthUnits } from '../core/units';
import { DrainageCaseShape, DrainagePlanShape, SchoolShape } from './shapes/drainage';
import { TableEventShape, TableStepShape } from './shapes/table';
import { TreatmentView } from './treatment-views';
import { ClientBrief, PlacedFinding, StageOrEnd, TherapistView } from './people-views';
import { purposes } from '../core/drainage/case';
import { TreatmentHolds } from './treatment';
import { LastWork } from './last-work';
import { CheckAnswersShape, MissingGateShape } from './shapes/visit';
import { VisitBlends } from './oil-views';
import { volumeUnits } from '../core/volume-units';
import { ClosingView } from './closing-view';
import { aftercareIds } from '../core/visit/aftercare';

export const TapingView = z.object({
  version: z.number(),
  phase: z.enum(tapingPhases),
  method: z.enum(volumeMethods),
  /** Empty: taken before protocols were noted. */
  protocol: z.string(),
  context: TapingContextShape,
  takenAt: z.string(),
  /** Null: taken apart from any visit, such as an import brings. */
  visitId: z.number().nullable(),
  therapistId: z.number().nullable(),
  /** Computed from the girths; null while too few have been taken. */
  volume: LimbVolumeShape.nullable(),
  limb: LimbShape,
  side: z.enum(['left', 'right']),
  unit: z.enum(lengthUnits),
  positions: z.array(z.number()).readonly(),
  first: PassShape,
  second: PassShape.nullable(),
  third: PassShape.nullable(),
  unresolved: z.record(z.enum(['affected', 'reference']), z.array(z.number()).readonly()),
  affected: z.array(GirthShape).readonly(),
  reference: z.array(GirthShape).readonly(),
});
export type TapingView = z.infer<typeof TapingView>;

/** With its day in words, where it is compared with. */
export const DatedTaping = TapingView.extend({ date: z.string() });

export const PlanView = z.object({
  version: z.number(),
  drainageCase: DrainageCaseShape,
  plan: DrainagePlanShape,
  steps: z.array(TableStepShape).readonly(),
  /** More than drainage alone: what was chosen, and how it was put together. */
  treatment: TreatmentView.nullable(),
  isRearranged: z.boolean(),
  reason: z.string(),
  /** Findings or therapist have changed since it was made. */
  isStale: z.boolean(),
  /** Day on which it was made. */
  madeOn: z.string(),
});
export type PlanView = z.infer<typeof PlanView>;

export const VisitFrame = z.object({
  id: z.number(),
  startsAt: z.string(),
  time: z.string(),
  date: z.string(),
  minutes: z.number(),
  stage: StageOrEnd,
  focus: z.array(z.string()).readonly(),
  purpose: z.enum(purposes),
  work: z.string(),
  /** What it holds beside or instead of drainage; null for drainage alone. */
  holds: TreatmentHolds.nullable(),
  client: ClientBrief,
  therapist: TherapistView,
  findings: z.array(PlacedFinding).readonly(),
  school: SchoolShape,
  isFirst: z.boolean(),
});
export type VisitFrame = z.infer<typeof VisitFrame>;

/** When to come again, proposed at the end of a visit. */
export const NextVisitView = z.object({
  date: z.string(),
  /** “Wednesday 2 December, in a week”. */
  words: z.string(),
  why: z.array(z.string()).readonly(),
  /** The next visit, if one is booked. */
  booked: z.string().nullable(),
  lastWork: LastWork,
  therapists: z.array(TherapistView).readonly(),
});
export type NextVisitView = z.infer<typeof NextVisitView>;

/** Which device leads a treatment, and since when. */
export const TableLead = z.object({
  deviceId: z.string(),
  takenAt: z.string(),
});
export type TableLead = z.infer<typeof TableLead>;

/** What a device that follows asks for again and again. */
export const TableNow = z.object({
  events: z.array(TableEventShape).readonly(),
  lead: TableLead.nullable(),
});
export type TableNow = z.infer<typeof TableNow>;

export const VisitView = VisitFrame.extend({
  /** What is missing before the table, in the order in which it is asked. */
  missing: z.array(MissingGateShape).readonly(),
  /** Blends for body and face. */
  blends: VisitBlends,
  /** What this client's volumes are worked out with. */
  volumeSettings: VolumeSettingsShape,
  volumeUnit: z.enum(volumeUnits),
  answers: CheckAnswersShape,
  before: TapingView.nullable(),
  after: TapingView.nullable(),
  /** The last taping of an earlier visit, to compare with. */
  lastTime: DatedTaping.nullable(),
  plan: PlanView.nullable(),
  events: z.array(TableEventShape).readonly(),
  /** The device that leads the treatment; null before it is begun. */
  lead: TableLead.nullable(),
  closing: ClosingView.nullable(),
  /** Who signed the record, and which version of it; oldest first. */
  signatures: z
    .array(
      z.object({
        version: z.number(),
        by: z.string(),
        at: z.string(),
      }),
    )
    .readonly(),
  /** Presses of devices that did not lead: on record, but not counted. */
  asideCount: z.number(),
});
export type VisitView = z.infer<typeof VisitView>;

/** What is worked by: the steps, without how the planner came to them. */
const PlanAtWork = PlanView.omit({ plan: true });
export type PlanAtWork = z.infer<typeof PlanAtWork>;

/** A visit with what hands found at earlier ones: for its plan, and for programs. */
export const VisitLookedBack = VisitView.extend({ remembered: z.array(RememberedView).readonly() });
export type VisitLookedBack = z.infer<typeof VisitLookedBack>;

/** A visit at the table and at its end. */
export const VisitAtWork = VisitView.extend({ plan: PlanAtWork.nullable() });
export type VisitAtWork = z.infer<typeof VisitAtWork>;

/** Client and stage of a visit: what the head of its views says. */
export const VisitHeadView = VisitView.pick({
  ...{ id: true, startsAt: true, time: true, date: true, minutes: true, stage: true, focus: true, purpose: true },
  ...{ work: true, holds: true, client: true, therapist: true, findings: true, school: true, isFirst: true },
  ...{ missing: true, events: true, before: true },
});
export type VisitHeadView = z.infer<typeof VisitHeadView>;

/** The end of a visit: what was used, what to mind, when to come again. */
export const CloseView = z.object({
  visit: VisitAtWork,
  next: NextVisitView.nullable(),
  /** Proposed by what was done. */
  aftercare: z.array(z.enum(aftercareIds)).readonly(),
  /** Stones of the rotation that the visit was planned with. */
  stones: z
    .array(
      z.object({
        name: z.string(),
        count: z.number(),
      }),
    )
    .readonly(),
  /** What was measured before and after at this visit; what held is known from the next one on. */
  changes: z.array(ChangeView).readonly(),
  pictures: PicturesView,
  /** The tape belongs to what the visit is for. */
  isTaped: z.boolean(),
  /** The course ahead of the limb taped last, in short; null where no excess was measured. */
  ahead: z
    .object({
      limb: z.string(),
      words: z.string(),
      plateau: z.string().nullable(),
      rows: z.array(z.object({ every: z.string(), visits: z.number(), comesTo: z.string() })).readonly(),
    })
    .nullable(),
});
export type CloseView = z.infer<typeof CloseView>;
