import { printAftercare } from '../../../../../server/exchange/aftercare-pdf';
import { endpoint, idOf } from '../../../../../server/http/endpoint';
import { notFound } from '../../../../../server/http/problem';
import { findHouse } from '../../../../../server/people/people.repository';
import { readMix } from '../../../../../server/oils/mix-oils';

export const GET = endpoint(async (context) => {
  const { db, actor } = context.locals;
  const [mix, house] = await Promise.all([readMix(db, idOf(context, 'bottle'), actor.now), findHouse(db)]);
  if (!mix) return notFound('bottle');
  return new Response(new Uint8Array(await printAftercare(mix, house?.name ?? '')), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="for-the-way-home.pdf"' },
  });
});
