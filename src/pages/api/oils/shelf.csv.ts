import { endpoint } from '../../../server/http/endpoint';
import { exportShelf } from '../../../server/oils/save-oils';

export const GET = endpoint(
  async ({ locals }) =>
    new Response(await exportShelf(locals.db), {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': 'attachment; filename="shelf.csv"' },
    }),
);
