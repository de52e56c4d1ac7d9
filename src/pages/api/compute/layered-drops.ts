import { oilBook } from '../../../catalogue/oils/oils';
import { LayeredDropsRequest } from '../../../contracts/oils';
import { layeredAnswer } from '../../../core/oils/answers';
import { unknownNames } from '../../../core/oils/known';
import { layeredDrops } from '../../../core/oils/layered';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { invalidFields } from '../../../server/http/problem';

const carrier = 'grapeseed';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, LayeredDropsRequest);
  const unknown = unknownNames(oilBook, { conditions: given.client.conditions, oils: given.parts });
  if (unknown.length > 0) return invalidFields(unknown);
  return Response.json(layeredAnswer(layeredDrops(oilBook, given), carrier));
});
