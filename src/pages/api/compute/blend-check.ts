import { oilBook } from '../../../catalogue/oils/oils';
import { BlendCheckRequest } from '../../../contracts/oils';
import { checkAnswer } from '../../../core/oils/answers';
import { checkBlend } from '../../../core/oils/check';
import { unknownNames } from '../../../core/oils/known';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { invalidFields, unfeasible } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, BlendCheckRequest);
  const unknown = unknownNames(oilBook, { ...given, conditions: given.client.conditions, oils: given.parts });
  if (unknown.length > 0) return invalidFields(unknown);
  const check = checkBlend(oilBook, given);
  return check
    ? Response.json(checkAnswer(check))
    : unfeasible([
        {
          path: 'parts',
          message: `These drops are more than the ${given.volumeMl} mL of the bottle: take some out, or mix more.`,
        },
      ]);
});
