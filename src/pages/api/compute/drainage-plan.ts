import { anatomy } from '../../../catalogue/anatomy';
import { DrainagePlanRequest } from '../../../contracts/drainage';
import { planDrainage, readChosen } from '../../../core/drainage/plan';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';

export const POST = endpoint(async ({ request }) => {
  const given = await readBody(request, DrainagePlanRequest);
  const plan = planDrainage(anatomy, unwrap(readChosen(anatomy, given)));
  // A turn is at no place of the body.
  const steps = plan.steps.map((step) => (step.kind === 'turn' ? { ...step, place: null } : step));
  return Response.json({ ...plan, steps });
});
