import { printAftercare } from '../../../../../server/exchange/aftercare-pdf';
import { endpoint, idOf } from '../../../../../server/http/endpoint';
import { notFound } from '../../../../../server/http/problem';
import { readHouseFacts } from '../../../../../server/people/read-facts';
import { readMix } from '../../../../../server/oils/mix-oils';

export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const [mix, house] = await Promise.all([readMix(db, idOf(context, 'bottle'), actor.now), readHouseFacts(db)]);
  if (!mix) return notFound('bottle');
  return new Response(new Uint8Array(await printAftercare(mix, house?.name ?? '')), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="for-the-way-home.pdf"' },
  });
});
