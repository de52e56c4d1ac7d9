import { WordingInput } from '../../contracts/sign-in';
import { answer } from '../../server/http/answer';
import { endpoint, readBody } from '../../server/http/endpoint';
import { saveWording } from '../../server/screening/save-wording';

/** A new version of what clients consent to. */
export const POST = endpoint(async ({ request, locals }) =>
  answer(await saveWording(locals.db, await readBody(request, WordingInput), locals.actor), 'wording'),
);
