import { oilBook } from '../../../catalogue/oils/oils';
import { BlendBestRequest } from '../../../contracts/oils';
import { bestAnswer } from '../../../core/oils/answers';
import { bestBlend } from '../../../core/oils/best/best-blend';
import { unknownNames } from '../../../core/oils/known';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { invalidFields, unfeasible } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, BlendBestRequest);
  const unknown = unknownNames(oilBook, {
    conditions: given.client.conditions,
    oils: given.candidates,
    oilsPath: 'candidates',
  });
  if (unknown.length > 0) return invalidFields(unknown);
  const answer = bestBlend(oilBook, given);
  return answer.kind === 'found' ? Response.json(bestAnswer(answer.blend)) : unfeasible([answer.why]);
});
