import { z } from 'zod';
import { ClearanceInput } from '../../contracts/record';
import { languageIds } from '../../core/language';
import { jsonColumn } from '../db/json-column';

export const regionsColumn = jsonColumn('finding.regions_json', z.array(z.string()).readonly());
export const crossesColumn = jsonColumn('finding.crosses_json', z.array(z.array(z.string()).readonly()).readonly());
/** What was answered about a finding: question → answer. */
export const answersColumn = jsonColumn('finding.answers_json', z.record(z.string(), z.string()));
export const clearanceColumn = jsonColumn('finding.clearance_json', ClearanceInput);

/** What a limit was set to, or set aside from; null: away. */
export const limitValueColumn = jsonColumn(
  'screening_override.new_json',
  z.union([z.string(), z.number(), z.boolean(), z.array(z.string()).readonly()]).nullable(),
);

export const wordingColumn = jsonColumn('consent_wording.text_json', z.array(z.string()).readonly());
export const otherWordingsColumn = jsonColumn(
  'consent_wording.others_json',
  z.partialRecord(z.enum(languageIds), z.array(z.string()).readonly()),
);
export const areasColumn = jsonColumn('consent.areas_json', z.array(z.string()).readonly());
