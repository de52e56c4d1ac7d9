import { TableLeadInput } from '../../../../contracts/table';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { takeLead } from '../../../../server/table/record-table';

export const POST = endpoint(async (context) => {
  const { deviceId } = await readBody(context.request, TableLeadInput);
  const { db, actor } = context.locals;
  return answer(await takeLead(db, idOf(context, 'visit'), deviceId, actor), 'visit');
});
