import { ImportStep } from '../../../contracts/imports';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { notFound } from '../../../server/http/problem';
import { cancelImport, readImport } from '../../../server/measures/import-jobs';
import { storeImport } from '../../../server/measures/import-measures';

export const GET = endpoint(({ params, locals }) => {
  const view = readImport(params['job'] ?? '', locals.actor);
  return view ? Response.json({ import: view }) : notFound('import');
});

/** Stores what was checked. */
export const POST = endpoint(async ({ request, params, locals }) => {
  const { leaveOutTroubled } = await readBody(request, ImportStep);
  return answer(storeImport(locals.db, params['job'] ?? '', leaveOutTroubled, locals.actor), 'import');
});

export const DELETE = endpoint(({ params, locals }) =>
  answer(cancelImport(params['job'] ?? '', locals.actor), 'import'),
);
