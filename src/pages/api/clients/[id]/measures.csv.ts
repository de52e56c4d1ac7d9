import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { exportMeasures } from '../../../../server/measures/export-measures';

/** All girths of a client as CSV; `unit=in` for inches. */
export const GET = endpoint(async (context) => {
  const id = idOf(context, 'client');
  const unit = context.url.searchParams.get('unit') === 'in' ? 'in' : 'cm';
  const table = await exportMeasures(context.locals.db, id, unit);
  if (table === undefined) return notFound('client');
  return new Response(`\ufeff${table}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="measures-${id}.csv"`,
      'cache-control': 'private, no-store',
    },
  });
});
