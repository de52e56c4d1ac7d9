import { MeasuringInput } from '../../contracts/measures';
import { answer } from '../../server/http/answer';
import { endpoint, readBody } from '../../server/http/endpoint';
import { saveMeasuring } from '../../server/measures/save-measuring';

/** What the house has decided about measuring. */
export const POST = endpoint(async ({ request, locals }) =>
  answer(await saveMeasuring(locals.db, await readBody(request, MeasuringInput), locals.actor), 'settings'),
);
