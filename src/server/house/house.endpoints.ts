import { openApiDocument } from '../../contracts/openapi';
import { houseRoutes as routes } from '../../contracts/routes/house';
import { build, version } from '../../core/version';
import { openSession } from '../auth/sessions';
import { setSessionCookie } from '../http/cookie';
import { dataFolder } from '../db/house';
import { endpoints, fileAnswer } from '../http/endpoint';
import { mayReadMetrics, metricsText } from '../http/metrics';
import { changeHouseFacts, readHouseFacts } from '../people/read-facts';
import { makeHouseCode } from '../auth/second-factor';
import { backupVerdict, isDiskLow, readHouseState } from './house-state';
import { setUpHouse } from '../people/set-up-house';

/** It says the same as long as the program runs, and takes a quarter of a second to put together. */
let openApi: Readonly<Record<string, unknown>> | undefined;

export const houseEndpoints = endpoints(routes, {
  health: async ({ db, actor }) => {
    const state = await readHouseState(db, dataFolder(), actor.now);
    return {
      ok: state.isWritable,
      isSetUp: (await readHouseFacts(db)) !== undefined,
      version,
      build,
      database: state.isWritable ? ('ok' as const) : ('read-only' as const),
      disk: isDiskLow(state) ? ('low' as const) : ('ok' as const),
      backup: backupVerdict(state),
    };
  },
  metrics: async ({ db, actor, context }) => {
    // Whoever does not know the token does not learn that there is something.
    if (!mayReadMetrics(context.request.headers.get('authorization'))) return undefined;
    const { text, mediaType } = await metricsText(await readHouseState(db, dataFolder(), actor.now));
    return fileAnswer({ file: mediaType }, text, 'metrics.txt', 'inline');
  },
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
