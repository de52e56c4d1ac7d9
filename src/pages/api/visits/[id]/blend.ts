import { VisitBlendInput } from '../../../../contracts/oil-house';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { chooseBlend } from '../../../../server/oils/choose-blend';

export const PUT = endpoint(async (context) => {
  const { db, actor, session } = context.locals;
  const input = await readBody(context.request, VisitBlendInput);
  return answer(
    await chooseBlend(db, idOf(context, 'visit'), input, session?.staff.qualifications ?? [], actor),
    'visit',
  );
});
