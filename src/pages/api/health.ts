import { endpoint } from '../../server/http/endpoint';
import { findHouse } from '../../server/people/people.repository';

export const GET = endpoint(async ({ locals }) =>
  Response.json({ ok: true, isSetUp: (await findHouse(locals.db)) !== undefined }),
);
