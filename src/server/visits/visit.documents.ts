import { z } from 'zod';
import { ClosingInput } from '../../contracts/closing';
import { OilNeedsShape, RoomItemShape } from '../../contracts/shapes/room';
import { CheckAnswersShape } from '../../contracts/shapes/visit';
import { TreatmentHolds } from '../../contracts/treatment';
import { jsonColumn, overUsual } from '../db/json-column';

export const focusColumn = jsonColumn('visit.focus_json', z.array(z.string()).readonly());

/** What a visit holds beside or instead of drainage, as it was booked or last planned. */
const VisitHolds = z.object({
  holds: TreatmentHolds,
  /** In words, for lists. */
  name: z.string(),
  /** Kinds of work that it gives. */
  modalities: z.array(z.string()).readonly(),
  room: z.array(RoomItemShape).readonly(),
  oil: OilNeedsShape.optional(),
});
export type VisitHolds = z.infer<typeof VisitHolds>;
export const holdsColumn = jsonColumn('visit.holds_json', VisitHolds);

export const readyColumn = jsonColumn('visit.ready_json', z.array(z.string()).readonly());

export const checkColumn = jsonColumn('visit_check.answers_json', CheckAnswersShape);
export const askedColumn = jsonColumn('visit_check.asked_json', z.record(z.string(), z.string()));

/** What of a closing is kept as one document. */
const ClosingMore = ClosingInput.pick({
  noteDoc: true,
  byClient: true,
  oilMl: true,
  stonesUsed: true,
  aftercare: true,
});
export type ClosingMore = z.infer<typeof ClosingMore>;
export const noMore: ClosingMore = { noteDoc: null, byClient: [], oilMl: {}, stonesUsed: null, aftercare: null };
export const closingMoreColumn = jsonColumn('closing.more_json', ClosingMore, [overUsual(noMore)]);
