import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, keyOf } from '../../../../../server/http/endpoint';
import { removeObservation } from '../../../../../server/measures/save-observation';

export const DELETE = endpoint(async (context) => {
  const { db, actor } = context.locals;
  return answer(
    await removeObservation(db, idOf(context, 'visit'), keyOf(context, 'observation'), actor),
    'observation',
  );
});
