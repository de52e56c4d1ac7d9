import { ProtocolEntryInput } from '../../../../contracts/library';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { invalidFields } from '../../../../server/http/problem';
import { restoreEntry, saveProtocol } from '../../../../server/library/save-library';

export const PUT = endpoint(async ({ request, locals, params }) => {
  const { value, basedOn } = await readBody(request, ProtocolEntryInput);
  if (value.id !== params['key'])
    return invalidFields([{ path: 'value.id', message: 'The id is not the one of the address.' }]);
  return answer(await saveProtocol(locals.db, value, basedOn, locals.actor), 'protocol');
});

export const DELETE = endpoint(async ({ locals, params }) =>
  answer(await restoreEntry(locals.db, 'protocol', params['key'] ?? '', locals.actor), 'protocol'),
);
