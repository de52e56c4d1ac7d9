import { TreatmentInput } from '../../../../contracts/treatment';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { makeTreatment } from '../../../../server/treatments/make-treatment';

export const POST = endpoint(async (context) =>
  answer(
    await makeTreatment(
      context.locals.db,
      idOf(context, 'visit'),
      await readBody(context.request, TreatmentInput),
      context.locals.actor,
    ),
    'plan',
  ),
);
