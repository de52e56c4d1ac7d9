import { MeasurementErrorRequest } from '../../../contracts/swelling';
import { measurementError } from '../../../core/swelling/measurement-error';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const result = measurementError((await readBody(request, MeasurementErrorRequest)).duplicates);
  if (result) return Response.json(result);
  const title = 'At least two pairs of readings are needed.';
  return problem({
    type: '/problems/too-few-pairs',
    title,
    status: 422,
    errors: [{ path: 'duplicates', message: title }],
  });
});
