import { ImportPlan } from '../../../contracts/imports';
import { answer } from '../../../server/http/answer';
import { endpoint, readUpTo } from '../../../server/http/endpoint';
import { invalidFields, invalidInput } from '../../../server/http/problem';
import { startImport } from '../../../server/measures/import-measures';

const largestTableBytes = 40_000_000;

/** The body is the table itself; how it is read stands in the address as JSON. */
export const POST = endpoint(async ({ request, url, locals }) => {
  let wish: unknown;
  try {
    wish = JSON.parse(url.searchParams.get('plan') ?? '{}');
  } catch {
    return invalidFields([{ path: 'plan', message: 'The plan of columns is not valid JSON.' }]);
  }
  const plan = ImportPlan.safeParse(wish);
  if (!plan.success) return invalidInput(plan.error);
  const bytes = await readUpTo(request, largestTableBytes);
  return answer(await startImport(locals.db, bytes, plan.data, locals.actor), 'import');
});
