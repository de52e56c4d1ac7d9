import { endpoint } from '../../../server/http/endpoint';
import { readLibrary } from '../../../server/library/read-library';

/** What the Library view shows, read anew. */
export const GET = endpoint(async ({ locals }) =>
  Response.json(await readLibrary(locals.db, locals.session?.staff.qualifications ?? [])),
);
