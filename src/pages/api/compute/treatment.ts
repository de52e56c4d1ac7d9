import { TreatmentRequest } from '../../../contracts/judged';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';
import { computeTreatment } from '../../../server/compute/compute-judged';

export const POST = endpoint(async ({ request }) =>
  Response.json(unwrap(computeTreatment(await readBody(request, TreatmentRequest)))),
);
