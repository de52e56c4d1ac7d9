import { ObservationInput } from '../../../../../contracts/measures';
import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../../server/http/endpoint';
import { saveObservation } from '../../../../../server/measures/save-observation';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, ObservationInput);
  const { db, actor } = context.locals;
  return answer(await saveObservation(db, idOf(context, 'visit'), input, actor), 'observation');
});
