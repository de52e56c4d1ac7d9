import { ClientInput } from '../../../contracts/record';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { findClients } from '../../../server/clients/read-client';
import { addClient } from '../../../server/clients/save-client';

export const GET = endpoint(async ({ url, locals }) =>
  Response.json(await findClients(locals.db, url.searchParams.get('q') ?? '', locals.actor.now)),
);

export const POST = endpoint(async ({ request, locals }) =>
  Response.json(await addClient(locals.db, await readBody(request, ClientInput), locals.actor), { status: 201 }),
);
