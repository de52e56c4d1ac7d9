import { screeningBook } from '../../../catalogue/screening/screening';
import { ScreeningRequest } from '../../../contracts/screening';
import { readScreening } from '../../../core/screening/read-request';
import { screen } from '../../../core/screening/screen';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, ScreeningRequest);
  return Response.json(screen(screeningBook, unwrap(readScreening(screeningBook, given))));
});
