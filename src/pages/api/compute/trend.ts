import { TrendRequest } from '../../../contracts/swelling';
import { trendOf } from '../../../core/swelling/trend';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const { points, confidence } = await readBody(request, TrendRequest);
  const trend = trendOf(points, confidence);
  if (trend) return Response.json(trend);
  const title = 'A trend needs values on at least two different dates.';
  return problem({
    type: '/problems/too-few-points',
    title,
    status: 422,
    errors: [{ path: 'points', message: title }],
  });
});
