import { LimbChangeRequest } from '../../../contracts/swelling';
import { limbChange } from '../../../core/swelling/limb-change';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

const titles = {
  'missing-unaffected': 'The change against the other limb needs its volume both times.',
  'missing-weight': 'The weight-adjusted change needs the body weight both times.',
} as const;

export const POST = endpoint(async ({ request }) => {
  const { before, after, mode } = await readBody(request, LimbChangeRequest);
  const result = limbChange(before, after, mode);
  if (result.ok) return Response.json(result.value);
  const title = titles[result.refusal];
  const errors = [{ path: result.field, message: title }];
  return problem({ type: `/problems/${result.refusal}`, title, status: 422, errors });
});
