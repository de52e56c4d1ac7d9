import { CourseInput } from '../../../../contracts/record';
import { answer } from '../../../../server/http/answer';
import { endpoint, idOf, readBody } from '../../../../server/http/endpoint';
import { rearrangeCourse } from '../../../../server/drainage/make-plan';

export const POST = endpoint(async (context) => {
  const input = await readBody(context.request, CourseInput);
  return answer(
    await rearrangeCourse(context.locals.db, idOf(context, 'visit'), input, context.locals.actor),
    'course',
  );
});
