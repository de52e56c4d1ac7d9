import { endpoint, idOf } from '../../../../server/http/endpoint';
import { invalidFields, notFound } from '../../../../server/http/problem';
import { readName } from '../../../../server/clients/read-name';
import { printProgress } from '../../../../server/measures/progress-report';
import { readProgress } from '../../../../server/measures/read-progress';

/** The course of one limb as a PDF; `limb` as in “left leg”, else the one taped last. */
export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const id = idOf(context, 'client');
  const [view, client] = await Promise.all([readProgress(db, id, actor.now), readName(db, id)]);
  if (!view || !client) return notFound('client');
  const wanted = context.url.searchParams.get('limb');
  const course = view.courses.find(({ side, limb }) => wanted === null || `${side} ${limb}` === wanted);
  if (!course)
    return invalidFields([{ path: 'limb', message: 'Nothing was taped that a report could tell of: tape first.' }]);
  const pdf = await printProgress(view, course, client.bornOn);
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="progress-${id}.pdf"`,
      'cache-control': 'private, no-store',
    },
  });
});
