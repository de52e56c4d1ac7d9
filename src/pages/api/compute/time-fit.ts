import { TimeFitRequest } from '../../../contracts/sequencing';
import { fitTime } from '../../../core/sequencing/time-fit';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const { steps, availableSeconds, fill } = await readBody(request, TimeFitRequest);
  return Response.json(fitTime(steps, availableSeconds, fill));
});
