import { BathDeviceInput } from '../../../contracts/stones';
import { houseBath } from '../../../server/devices/stone-bath';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { readHouseBath } from '../../../server/stones/read-stones';

/** With `set`, judged against what a visit asks for instead of the house's own setting. */
export const GET = endpoint(async ({ locals, url }) =>
  Response.json((await readHouseBath(locals.db, wishedOf(url))).bath),
);

/** Drives the stand-in by hand: a knob, stones, a fault, or time. */
export const POST = endpoint(async ({ request, locals, url }) => {
  houseBath().drive(await readBody(request, BathDeviceInput));
  return Response.json((await readHouseBath(locals.db, wishedOf(url))).bath);
});

function wishedOf(url: URL): number | undefined {
  const set = Number(url.searchParams.get('set') ?? '');
  return set > 0 && set <= 60 ? set : undefined;
}
