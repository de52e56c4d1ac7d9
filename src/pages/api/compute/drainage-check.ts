import { anatomy } from '../../../catalogue/anatomy';
import { DrainageCheckRequest } from '../../../contracts/drainage';
import { readCase } from '../../../core/drainage/case';
import { checkCourse, stepErrors } from '../../../core/drainage/check';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';
import { invalidFields } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, DrainageCheckRequest);
  const read = unwrap(readCase(anatomy, given));
  const errors = stepErrors(anatomy, given.steps);
  if (errors.length > 0) return invalidFields(errors);
  return Response.json({ violations: checkCourse(anatomy, read, given.steps) });
});
