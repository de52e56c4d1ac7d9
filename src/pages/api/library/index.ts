import { LibraryFile } from '../../../contracts/library';
import { answer } from '../../../server/http/answer';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { exportLibrary } from '../../../server/library/read-library';
import { importLibrary } from '../../../server/library/save-library';

export const GET = endpoint(async ({ locals, url }) => {
  const file = await exportLibrary(locals.db, url.searchParams.get('all') !== null);
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': 'attachment; filename="library.json"',
    },
  });
});

/** With `?keep` it is stored; without, the answer says what would be. */
export const POST = endpoint(async ({ request, locals, url }) =>
  answer(
    await importLibrary(
      locals.db,
      await readBody(request, LibraryFile),
      url.searchParams.get('keep') !== null,
      locals.actor,
    ),
    'library',
  ),
);
