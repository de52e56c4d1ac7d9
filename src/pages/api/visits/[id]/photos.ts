import { z } from 'zod';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readUpTo } from '../../../../server/http/endpoint';
import { invalidInput } from '../../../../server/http/problem';
import { largestFileBytes } from '../../../../server/clients/attach-file';
import { poses, savePhoto } from '../../../../server/clients/save-photo';

const Wish = z.object({ pose: z.enum(poses), phase: z.enum(['before', 'after']) });

/** The body is the picture itself; what it shows stands in the address. */
export const POST = endpoint(async (context) => {
  const wish = Wish.safeParse(Object.fromEntries(context.url.searchParams));
  if (!wish.success) return invalidInput(wish.error);
  const content = await readUpTo(context.request, largestFileBytes);
  const { db, actor } = context.locals;
  return answer(await savePhoto(db, idOf(context, 'visit'), { ...wish.data, content }, actor), 'visit');
});
