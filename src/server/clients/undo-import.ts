import type { ClientImportView, PastImport } from '../../contracts/client-imports';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { forgetClient } from '../shared/erased';
import { shortDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import {
  countImported,
  findImport,
  findVersion,
  forgetImported,
  type ImportedClient,
  listImports,
  nextImported,
  removeTogether,
  removeUntouched,
  setUndone,
  tidyIndexes,
} from './client-imports.repository';
import { clientsAnswers } from './clients.answers';
import { beforeColumn } from './clients.documents';
import { changeClient, findClient } from './clients.repository';
import { clientImports } from './import-clients';
import { followClient } from '../messages/queue-messages';

const pack = 50;
const mostNamed = 50;

/** The last imports, the newest first. */
export async function listClientImports(db: Db): Promise<readonly PastImport[]> {
  return (await listImports(db)).map((row) => ({
    key: row.id,
    date: shortDay(row.at),
    by: row.by_name ?? '',
    file: row.file,
    added: row.added,
    completed: row.completed,
    isUndone: row.undone_at !== null,
  }));
}

/** Imports that are being stored or taken back: one thing at a time. */
const underWay = new Set<number>();

export async function whileUnderWay(key: number, work: () => Promise<void>): Promise<void> {
  underWay.add(key);
  await work().finally(() => underWay.delete(key));
}

/** Takes an import back in the background. Who has been worked with since stays, and is named. */
export async function undoClientImport(
  db: Db,
  key: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly import: ClientImportView } | SaveRefusal> {
  const refuse = (message: string) => ({ kind: 'refused', errors: [{ path: '', message }] }) as const;
  const past = await findImport(db, key);
  if (!past) return { kind: 'not-found' };
  if (past.undone_at !== null) return refuse(clientsAnswers.thisImportWasTakenBackAlready);
  if (underWay.has(key)) return refuse(clientsAnswers.thisImportIsUnderWay);
  const job = clientImports.open(actor);
  job.view = { ...job.view, state: 'undoing' };
  const undo = async () => {
    const all = await countImported(db, key);
    const { removed, restored, kept } = await takeOut(db, key, actor, (done) =>
      clientImports.pause(job, () => ({ share: done / all })),
    );
    job.view = {
      ...job.view,
      ...{ state: 'undone', share: 1, added: removed, completed: restored },
      ...{ kept: kept.slice(0, mostNamed), keptCount: kept.length },
    };
  };
  void clientImports.run(job, () => whileUnderWay(key, undo), {
    stopped: clientsAnswers.stoppedSomeAreOut,
    failed: clientsAnswers.somethingWentWrongSomeAreOut,
  });
  return { kind: 'saved', import: job.view };
}

interface TakenOut {
  readonly removed: number;
  readonly restored: number;
  /** Names of those who stay. */
  readonly kept: readonly string[];
}

/** Lets other requests through. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

/**
 * Takes out all who came with an import, and gives those back their data whom it completed.
 * @param after each pack; where it throws, the rest stays, and can be taken out another time
 */
export async function takeOut(
  db: Db,
  key: number,
  actor: Actor,
  after: (done: number) => Promise<void> = breathe,
): Promise<TakenOut> {
  const at = actor.now.toISOString();
  const kept: string[] = [];
  let [removed, restored, done, last] = [0, 0, 0, 0];
  try {
    for (;;) {
      const some = await nextImported(db, key, last, pack);
      if (some.length === 0) break;
      const removeAll = async (trx: Db) => {
        for (const one of some) {
          const isTaken =
            one.kind === 'added' ? await removeUntouched(trx, key, one) : await restore(trx, key, one, actor);
          if (!isTaken) kept.push((await findClient(trx, one.clientId))?.name ?? '');
          else if (one.kind === 'added') removed += 1;
          else restored += 1;
        }
      };
      await db.transaction().execute((trx) => removeTogether(trx, () => removeAll(trx)));
      for (const { clientId } of some) forgetClient(db, clientId);
      last = some.at(-1)?.clientId ?? last;
      done += some.length;
      await after(done);
    }
    await setUndone(db, key, at);
    return { removed, restored, kept };
  } finally {
    await tidyIndexes(db, breathe);
    await insertAudit(db, {
      ...{ at, by: actor.therapistId, action: 'clients taken out again', subject: 'house' },
      detail: clientsAnswers.takenOutAndLeft(removed, restored, kept.length),
    });
  }
}

/** @returns false when the record was changed since: it stays as it is */
async function restore(db: Db, key: number, one: ImportedClient, actor: Actor): Promise<boolean> {
  const row = await findClient(db, one.clientId);
  const before = await findVersion(db, one.clientId, one.beforeVersion);
  if (!row || !before || row.version !== one.version) return false;
  const now = actor.now.toISOString();
  await changeClient(db, row, beforeColumn.read(before.before_json), actor.therapistId, now);
  await followClient(db, one.clientId, actor.now);
  await forgetImported(db, key, one.clientId);
  await insertAudit(db, {
    ...{ at: now, by: actor.therapistId, action: 'client data changed', subject: `client ${one.clientId}` },
  });
  return true;
}
