import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { makeReferral } from '../../../../server/screening/referral';

export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const pdf = await makeReferral(db, idOf(context, 'visit'), actor);
  if (!pdf) return notFound('visit');
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="note-to-physician.pdf"',
    },
  });
});
