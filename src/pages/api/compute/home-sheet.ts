import { HomeSheetRequest } from '../../../contracts/judged';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';
import { computeHomeSheet } from '../../../server/compute/compute-judged';

export const POST = endpoint(async ({ request }) =>
  Response.json(unwrap(computeHomeSheet(await readBody(request, HomeSheetRequest)))),
);
