import { TemplateInput } from '../../../contracts/treatment';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { offerTreatments, saveTemplate } from '../../../server/treatments/offer-treatments';

export const GET = endpoint(async ({ locals, url }) => {
  // The front desk books by kind; what was given to a client is for those who treat.
  const mayTreat = locals.session?.staff.role !== 'assistant';
  const client = mayTreat ? Number(url.searchParams.get('client') ?? '') : 0;
  return Response.json(await offerTreatments(locals.db, client > 0 ? client : null, locals.actor.now));
});

export const POST = endpoint(async ({ request, locals }) =>
  answer(await saveTemplate(locals.db, await readBody(request, TemplateInput), locals.actor), 'id'),
);
