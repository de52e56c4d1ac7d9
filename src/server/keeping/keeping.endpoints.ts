import { keepingRoutes as routes } from '../../contracts/routes/keeping';
import { clearSessionCookie } from '../http/cookie';
import { endpoints } from '../http/endpoint';
import { decryptHouse, encryptHouse, readCipher } from './encrypt-house';
import {
  bringBack,
  cancelBackup,
  changeKeeping,
  lookIntoBackup,
  readKeeping,
  restoreBackup,
  startBackup,
} from './keeping';

export const keepingEndpoints = endpoints(routes, {
  readKeeping: ({ db }) => readKeeping(db),
  changeKeeping: ({ db, body, actor }) => changeKeeping(db, body, actor),
  startBackup: ({ db, actor }) => startBackup(db, actor.now),
  cancelBackup: () => cancelBackup(),
  lookIntoBackup: ({ db, body }) => lookIntoBackup(db, body),
  restoreBackup: async ({ db, body, actor, context }) => {
    const result = await restoreBackup(db, body, actor);
    // Sessions are not restored: whoever was signed in then need not be now.
    if (result.kind === 'saved') clearSessionCookie(context);
    return result;
  },
  encryptHouse: ({ body, actor }) => encryptHouse(body, actor),
  decryptHouse: ({ body, actor }) => decryptHouse(body, actor),
  readCipher: () => readCipher(),
  undoRestore: async ({ actor, context }) => {
    const result = await bringBack(actor);
    if (result.kind === 'saved') clearSessionCookie(context);
    return result;
  },
});
