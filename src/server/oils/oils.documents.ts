import { z } from 'zod';
import { BlendInput, SmellInput } from '../../contracts/oil-house';
import { patchReadings } from '../../core/oils/patch-test';
import { jsonColumn } from '../db/json-column';

export const blendColumn = jsonColumn('blend_json', BlendInput);

/** Oil → drops that have been counted in. */
export const countedColumn = jsonColumn('oil_mix.counted_json', z.record(z.string(), z.number()));

export const readingsColumn = jsonColumn(
  'patch_test.readings_json',
  z.array(z.object({ readAt: z.string(), reading: z.enum(patchReadings), note: z.string() })).readonly(),
);

/** What was smelled, strip by strip, and what was said of it. */
export const stripsColumn = jsonColumn('smell_choice.strips_json', SmellInput.shape.strips);
