import { homeWordsOf } from '../../../../catalogue/homecare/homecare';
import { printVisitCare } from '../../../../server/exchange/aftercare-pdf';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { notFound } from '../../../../server/http/problem';
import { readHouseFacts } from '../../../../server/people/read-facts';
import { readClose } from '../../../../server/visits/read-close';

export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const [close, house] = await Promise.all([readClose(db, idOf(context, 'visit'), actor.now), readHouseFacts(db)]);
  if (!close) return notFound('visit');
  const chosen = close.visit.closing?.aftercare ?? close.aftercare;
  const words = homeWordsOf(context.url.searchParams.get('language') ?? '');
  return new Response(
    new Uint8Array(await printVisitCare(words, chosen, { name: house?.name ?? '', phone: house?.phone })),
    { headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="to-mind.pdf"' } },
  );
});
