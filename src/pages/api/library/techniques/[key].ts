import { TechniqueInput } from '../../../../contracts/library';
import { answer } from '../../../../server/http/answer';
import { endpoint, readBody } from '../../../../server/http/endpoint';
import { invalidFields } from '../../../../server/http/problem';
import { restoreEntry, saveTechnique } from '../../../../server/library/save-library';

export const PUT = endpoint(async ({ request, locals, params }) => {
  const { value, basedOn } = await readBody(request, TechniqueInput);
  if (value.id !== params['key'])
    return invalidFields([{ path: 'value.id', message: 'The id is not the one of the address.' }]);
  return answer(await saveTechnique(locals.db, value, basedOn, locals.actor), 'technique');
});

export const DELETE = endpoint(async ({ locals, params }) =>
  answer(await restoreEntry(locals.db, 'technique', params['key'] ?? '', locals.actor), 'technique'),
);
