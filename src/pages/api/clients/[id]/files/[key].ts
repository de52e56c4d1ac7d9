import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, keyOf } from '../../../../../server/http/endpoint';
import { notFound } from '../../../../../server/http/problem';
import { readAttachment, removeAttachment } from '../../../../../server/clients/attach-file';

/** Served as what it was found to be, with nothing in it allowed to run. */
export const GET = endpoint(async (context) => {
  const file = await readAttachment(context.locals.db, idOf(context, 'client'), keyOf(context, 'file'));
  if (!file) return notFound('file');
  const isPicture = file.mediaType.startsWith('image/');
  return new Response(new Uint8Array(file.content), {
    headers: {
      'content-type': file.mediaType,
      'content-disposition': `${isPicture ? 'inline' : 'attachment'}; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      'cache-control': 'private, no-store',
    },
  });
});

export const DELETE = endpoint(async (context) => {
  const { db, actor } = context.locals;
  return answer(await removeAttachment(db, idOf(context, 'client'), keyOf(context, 'file'), actor), 'file');
});
