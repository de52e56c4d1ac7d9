import { endpoint } from '../../server/http/endpoint';
import { readHouseFacts } from '../../server/people/read-facts';

export const GET = endpoint(async ({ locals }) =>
  Response.json({ ok: true, isSetUp: (await readHouseFacts(locals.db)) !== undefined }),
);
