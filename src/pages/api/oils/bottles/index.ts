import { BottleInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { readStock } from '../../../../server/oils/read-oils';
import { addBottle } from '../../../../server/oils/save-oils';

export const GET = endpoint(async ({ locals }) => Response.json(await readStock(locals.db, locals.actor.now)));

export const POST = endpoint(async ({ request, locals }) =>
  answer(await addBottle(locals.db, await readBody(request, BottleInput), locals.actor), 'bottle'),
);
