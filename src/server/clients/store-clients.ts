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
import { takeOut, whileUnderWay } from './undo-import';
import { followClient } from '../messages/queue-messages';

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
  await whileUnderWay(key, async () => {
    let read = 0;
    let outcome: Outcome = { added: 0, completed: 0 };
    let parts: Part[] = [];
    const flush = async () => {
      outcome = await storePack(db, key, parts, outcome, actor);
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
      await takeOut(db, key, actor);
      await setOutcome(db, key, { added: 0, completed: 0 });
      throw error;
    }
    await insertAudit(db, {
      ...{ at: actor.now.toISOString(), by: actor.therapistId, action: 'clients brought in', subject: 'house' },
      detail: clientsAnswers.addedAndCompleted(ready.file, outcome.added, outcome.completed),
    });
    job.ready = undefined;
    job.view = { ...job.view, state: 'done', share: 1, ...outcome, key };
  });
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

interface Outcome {
  readonly added: number;
  readonly completed: number;
}

/** @returns what the import has come to with this pack */
const storePack = (db: Db, key: number, parts: readonly Part[], before: Outcome, actor: Actor): Promise<Outcome> =>
  db.transaction().execute(async (trx) => {
    const done: ImportedClient[] = [];
    for (const { person, clientId } of parts) {
      const one =
        clientId === null
          ? { clientId: await insertClient(trx, person, actor.now.toISOString()), version: 1, beforeVersion: 0 }
          : await complete(trx, clientId, person, actor);
      if (one) done.push({ ...one, kind: clientId === null ? 'added' : 'completed' });
    }
    // One by one: SQLite takes no row twice in one statement that mends conflicts.
    for (const one of done) await insertImported(trx, key, [one]);
    const added = done.filter(({ kind }) => kind === 'added').length;
    const outcome = { added: before.added + added, completed: before.completed + done.length - added };
    await setOutcome(trx, key, outcome);
    return outcome;
  });

/** @returns what became of the record, or undefined where it gained nothing */
async function complete(
  db: Db,
  clientId: ClientId,
  person: ClientInput,
  actor: Actor,
): Promise<Omit<ImportedClient, 'kind'> | undefined> {
  const row = await findClient(db, clientId);
  if (!row) return undefined;
  // A birthday after something on the record is the birthday of somebody else, or wrong.
  const isTooLate = (await findingBefore(db, clientId, person.bornOn)) !== undefined;
  const gains = { ...person, bornOn: isTooLate ? null : person.bornOn };
  const data = toClientData(row);
  if (gainsOf(data, gains).length === 0) return undefined;
  const now = actor.now.toISOString();
  await changeClient(db, row, completeRecord(data, gains), actor.therapistId, now);
  await followClient(db, clientId, actor.now);
  await insertAudit(db, {
    ...{ at: now, by: actor.therapistId, action: 'client data changed', subject: `client ${clientId}` },
  });
  return { clientId, version: row.version + 1, beforeVersion: row.version };
}
