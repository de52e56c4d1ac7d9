import { MixCountInput } from '../../../../../contracts/oil-house';
import { answer } from '../../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../../server/http/endpoint';
import { notFound } from '../../../../../server/http/problem';
import { abandonMix, countMix, finishMix, readMix } from '../../../../../server/oils/mix-oils';

export const GET = endpoint(async (context) => {
  const mix = await readMix(context.locals.db, idOf(context, 'bottle'), context.locals.actor.now);
  return mix ? Response.json(mix) : notFound('bottle');
});

/** Keeps what has been counted in. */
export const PUT = endpoint(async (context) => {
  const input = await readBody(context.request, MixCountInput);
  return answer(await countMix(context.locals.db, idOf(context, 'bottle'), input), 'bottle');
});

/** Finishes the bottle. */
export const POST = endpoint(async (context) =>
  answer(await finishMix(context.locals.db, idOf(context, 'bottle'), context.locals.actor), 'bottle'),
);

/** Gives it up. */
export const DELETE = endpoint(async (context) =>
  answer(await abandonMix(context.locals.db, idOf(context, 'bottle')), 'bottle'),
);
