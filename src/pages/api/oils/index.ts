import { endpoint } from '../../../server/http/endpoint';
import { readOilBench } from '../../../server/oils/read-oils';

export const GET = endpoint(async ({ locals, url }) => {
  const idIn = (name: string) => {
    const id = Number(url.searchParams.get(name) ?? '');
    return id > 0 ? id : null;
  };
  const of = { visitId: idIn('visit'), clientId: idIn('client') };
  const qualifications = locals.session?.staff.qualifications ?? [];
  return Response.json(await readOilBench(locals.db, of, qualifications, locals.actor.now));
});
