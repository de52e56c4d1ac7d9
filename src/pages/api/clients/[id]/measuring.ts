import { ClientMeasuringInput } from '../../../../contracts/measures';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { saveClientMeasuring } from '../../../../server/measures/save-measuring';

export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, ClientMeasuringInput);
  const { db, actor } = context.locals;
  return answer(await saveClientMeasuring(db, idOf(context, 'client'), input, actor), 'client');
});
