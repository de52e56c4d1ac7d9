import { BathDeviceInput } from '../../../contracts/stones';
import { houseBath } from '../../../server/devices/stone-bath';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { findHabits } from '../../../server/repositories/stones';
import { readBath } from '../../../server/services/read-stones';

export const GET = endpoint(async ({ locals }) => Response.json(readBath(await findHabits(locals.db))));

/** Drives the stand-in by hand: a knob, stones, a fault, or time. */
export const POST = endpoint(async ({ request, locals }) => {
  houseBath().drive(await readBody(request, BathDeviceInput));
  return Response.json(readBath(await findHabits(locals.db)));
});
