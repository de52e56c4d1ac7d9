import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { insertAudit } from '../../../../server/house/audit.repository';
import { printReferral, readReferral } from '../../../../server/screening/referral';

export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const id = idOf(context, 'visit');
  const referral = await readReferral(db, id);
  if (!referral) return notFound('visit');
  const pdf = await printReferral(referral);
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: actor.therapistId, action: 'referral note made', subject: `visit ${id}` });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="note-to-physician.pdf"',
    },
  });
});
