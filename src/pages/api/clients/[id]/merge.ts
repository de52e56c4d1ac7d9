import { MergeInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { mergeClients, previewMerge } from '../../../../server/clients/merge-clients';

export const GET = endpoint(async (context) => {
  const other = Number(context.url.searchParams.get('with'));
  const preview = await previewMerge(context.locals.db, idOf(context, 'client'), other);
  return preview ? Response.json(preview) : notFound('pair of clients');
});

export const POST = endpoint(async (context) => {
  const { dropId, keepVersion, dropVersion } = await readBody(context.request, MergeInput);
  const versions = { keep: keepVersion, drop: dropVersion };
  const { db, actor } = context.locals;
  return answer(await mergeClients(db, idOf(context, 'client'), dropId, versions, actor), 'client');
});
