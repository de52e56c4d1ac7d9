import { openApiDocument } from '../../contracts/openapi';
import { houseRoutes as routes } from '../../contracts/routes/house';
import { build } from '../../core/version';
import { openSession } from '../auth/sessions';
import { setSessionCookie } from '../http/cookie';
import { endpoints } from '../http/endpoint';
import { changeHouseFacts, readHouseFacts } from '../people/read-facts';
import { makeHouseCode } from '../auth/second-factor';
import { setUpHouse } from '../people/set-up-house';

/** It says the same as long as the program runs, and takes a quarter of a second to put together. */
let openApi: Readonly<Record<string, unknown>> | undefined;

export const houseEndpoints = endpoints(routes, {
  health: async ({ db }) => ({ ok: true, isSetUp: (await readHouseFacts(db)) !== undefined, build }),
  openApi: () => (openApi ??= { ...openApiDocument() }),
  setUp: async ({ db, body, actor, context }) => {
    const result = await setUpHouse(db, body, actor);
    if (result.kind !== 'saved') return result;
    setSessionCookie(context, await openSession(db, result.ownerId, actor.now));
    return { ...result, ...(await makeHouseCode(db, result.ownerId, { ...actor, therapistId: result.ownerId })) };
  },
  changeFacts: async ({ db, body }) => {
    await changeHouseFacts(db, body);
    return body;
  },
});
