import { BottleInput, ShelfImportInput } from '../../../contracts/oil-house';
import type { ShelfImportView } from '../../../contracts/oil-views';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { isoDay } from '../../../server/shared/house-clock';
import { addShelf, readShelf } from '../../../server/oils/save-oils';

/** Reads a shelf; nothing is stored while a row is in trouble, or before it is sure. */
export const POST = endpoint(async ({ request, locals }) => {
  const { csv, isSure } = await readBody(request, ShelfImportInput);
  const { bottles, troubles } = readShelf(csv, isoDay(locals.actor.now.toISOString()), (row) => {
    const read = BottleInput.safeParse(row);
    return read.success ? read.data : read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  });
  const mayAdd = isSure && troubles.length === 0 && bottles.length > 0;
  if (mayAdd) await addShelf(locals.db, bottles, locals.actor);
  const view: ShelfImportView = { bottles: bottles.length, added: mayAdd ? bottles.length : 0, troubles };
  return Response.json(view);
});
