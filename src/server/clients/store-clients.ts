import type { ClientImportStep, ClientImportView } from '../../contracts/client-imports';
import type { ClientInput } from '../../contracts/record';
import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { type ImportedClient, insertImport, insertImported, setOutcome } from './client-imports.repository';
import { clientsAnswers } from './clients.answers';
import { changeClient, findClient, insertClient, toClientData } from './clients.repository';
import { completeRecord, gainsOf } from './complete-record';
import { type ClientImport, clientImports, type Waiting, wayOf } from './import-clients';
import { findingBefore } from './save-client';
import { takeOut } from './undo-import';

/** So many in one transaction: others work on meanwhile. */
const pack = 50;

/** Stores what was checked. It can be stopped: who had been added by then is taken out again. */
export function storeClientImport(
  db: Db,
  id: string,
  step: ClientImportStep,
  actor: Actor,
): { readonly kind: 'saved'; readonly import: ClientImportView } | SaveRefusal {
  const job = clientImports.find(id, actor);
  if (!job) return { kind: 'not-found' };
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  const { ready, view } = job;
  if (view.state !== 'checked' || !ready) return refuse('', clientsAnswers.thisImportIsNotWaitingTo);
  if (view.troubleCount > 0 && !step.leaveOutTroubled)
    return refuse('leaveOutTroubled', clientsAnswers.mendTheRowsInTroubleOr);
  const way = wayOf(step);
  const isNothing = view.fresh === 0 && [...ready.doubles.keys()].every((row) => way(row) === 'leave-out');
  if (isNothing) return refuse('', clientsAnswers.thereIsNobodyToAdd);
  job.view = { ...view, state: 'storing', share: 0 };
  void clientImports.run(job, () => store(db, job, ready, step, actor));
  return { kind: 'saved', import: job.view };
}

interface Part {
  readonly person: ClientInput;
  /** Whose record is completed; null for somebody new. */
  readonly clientId: ClientId | null;
}

async function store(db: Db, job: ClientImport, ready: Waiting, step: ClientImportStep, actor: Actor): Promise<void> {
  const way = wayOf(step);
  const key = await insertImport(db, { at: actor.now.toISOString(), by: actor.therapistId, file: ready.file });
  let [read, added, completed] = [0, 0, 0];
  let parts: Part[] = [];
  const flush = async () => {
    const done = await storePack(db, key, parts, actor);
    added += done.filter(({ kind }) => kind === 'added').length;
    completed += done.length - done.filter(({ kind }) => kind === 'added').length;
    parts = [];
    await clientImports.pause(job, () => ({ share: read / ready.count }));
  };
  try {
    for (const { row, person } of ready.rows()) {
      read += 1;
      const part = person && partOf(person, row, ready, way);
      if (part) parts.push(part);
      if (parts.length >= pack) await flush();
    }
    await flush();
  } catch (error) {
    await takeOut(db, key, actor, () => undefined);
    throw error;
  }
  await setOutcome(db, key, { added, completed });
  await insertAudit(db, {
    ...{ at: actor.now.toISOString(), by: actor.therapistId, action: 'clients brought in', subject: 'house' },
    detail: clientsAnswers.addedAndCompleted(ready.file, added, completed),
  });
  job.ready = undefined;
  job.view = { ...job.view, state: 'done', share: 1, added, completed, key };
}

function partOf(
  person: ClientInput,
  row: number,
  { doubles }: Waiting,
  way: (row: number) => ClientImportStep['doubles'],
): Part | undefined {
  const known = doubles.get(row);
  if (known === undefined || way(row) === 'add') return { person, clientId: null };
  // An earlier row of the same file is no record yet that could be completed.
  return known !== null && way(row) === 'complete' ? { person, clientId: known } : undefined;
}

const storePack = (db: Db, key: number, parts: readonly Part[], actor: Actor): Promise<readonly ImportedClient[]> =>
  db.transaction().execute(async (trx) => {
    const done: ImportedClient[] = [];
    for (const { person, clientId } of parts) {
      if (clientId === null)
        done.push({ clientId: await insertClient(trx, person, actor.now.toISOString()), kind: 'added', version: 1 });
      else {
        const version = await complete(trx, clientId, person, actor);
        if (version !== undefined) done.push({ clientId, kind: 'completed', version });
      }
    }
    await insertImported(trx, key, done);
    return done;
  });

/** @returns the version that it became, or undefined where the record gained nothing */
async function complete(db: Db, clientId: ClientId, person: ClientInput, actor: Actor): Promise<number | undefined> {
  const row = await findClient(db, clientId);
  if (!row) return undefined;
  // A birthday after something on the record is the birthday of somebody else, or wrong.
  const isTooLate = (await findingBefore(db, clientId, person.bornOn)) !== undefined;
  const gains = { ...person, bornOn: isTooLate ? null : person.bornOn };
  const data = toClientData(row);
  if (gainsOf(data, gains).length === 0) return undefined;
  const now = actor.now.toISOString();
  await changeClient(db, row, completeRecord(data, gains), actor.therapistId, now);
  await insertAudit(db, {
    ...{ at: now, by: actor.therapistId, action: 'client data changed', subject: `client ${clientId}` },
  });
  return row.version + 1;
}
