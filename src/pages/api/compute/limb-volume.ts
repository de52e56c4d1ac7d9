import { LimbVolumeRequest } from '../../../contracts/limb-volume';
import { limbVolume } from '../../../core/swelling/limb-volume';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const result = limbVolume(await readBody(request, LimbVolumeRequest));
  if (result.ok) return Response.json(result.value);
  const { kind, field, message } = result.refusal;
  return problem({ type: `/problems/${kind}`, title: message, status: 422, errors: [{ path: field, message }] });
});
