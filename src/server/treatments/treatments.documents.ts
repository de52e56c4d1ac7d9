import { z } from 'zod';
import { TreatmentHolds } from '../../contracts/treatment';
import { jsonColumn } from '../db/json-column';

/** A treatment kept to be taken again. */
export const templateColumn = jsonColumn(
  'treatment_template.holds_json',
  z.object({ minutes: z.number(), holds: TreatmentHolds }),
);
