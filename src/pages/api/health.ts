import { endpoint } from '../../server/http/endpoint';
import { findHouse } from '../../server/repositories/people';

export const GET = endpoint(async ({ locals }) =>
  Response.json({ ok: true, isSetUp: (await findHouse(locals.db)) !== undefined }),
);
