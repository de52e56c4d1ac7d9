import { accessSync, constants, mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { differenceInHours, parseISO } from 'date-fns';
import type { BackupContents, KeepingInput, KeepingView, RestoreInput } from '../../contracts/keeping';
import type { FieldError } from '../../core/result';
import { passwordTrouble } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { dataFolder, exchangeHouse, isHouseEncrypted, keyOfHouse } from '../db/house';
import { insertAudit, listErasedClients } from '../house/audit.repository';
import { log } from '../log';
import { changeSettings, findSettings } from '../people/settings.repository';
import { dayAndTime, shortDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { NotABackup } from './archive';
import { type BackupProgress, listBackups, makeBackup } from './make-backup';
import { copyingTrouble } from './second-machine';
import { canUndo, prepareRestore, takePlace, undoRestore } from './restore';
import { keepingAnswers } from './keeping.answers';

/** The backup that is being made; a process makes one at a time. */
let running: { readonly cancel: AbortController; progress: BackupProgress } | undefined;

const refuse = (...errors: readonly FieldError[]): SaveRefusal => ({ kind: 'refused', errors });
const done = { kind: 'saved' } as const;

export async function readKeeping(db: Db): Promise<KeepingView> {
  const { backup } = await findSettings(db);
  const files = backup ? await listBackups(backup.folder) : [];
  return {
    folder: backup?.folder ?? '',
    hasPassphrase: backup !== undefined,
    lastGood: backup?.lastGoodAt ? dayAndTime(backup.lastGoodAt) : '',
    trouble: backup?.trouble ?? '',
    running: running?.progress ?? null,
    backups: files.map(({ name, madeAt, bytes }) => ({ name, made: dayAndTime(madeAt.toISOString()), bytes })),
    canUndo: canUndo(dataFolder()),
    isEncrypted: isHouseEncrypted(),
  };
}

/** Says where backups go; the folder is tried at once, so that the night brings no surprise. */
export async function changeKeeping(
  db: Db,
  { folder, passphrase }: KeepingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const { backup } = await findSettings(db);
  const errors: FieldError[] = [];
  const known = passphrase === '' ? backup?.passphrase : passphrase;
  const trouble = known === undefined ? keepingAnswers.writeAPassphraseWithoutItNobody : passwordTrouble(known, '');
  if (trouble) errors.push({ path: 'passphrase', message: trouble });
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    accessSync(folder, constants.W_OK);
  } catch {
    errors.push({ path: 'folder', message: keepingAnswers.nothingCanBeWrittenThereChoose });
  }
  if (path.resolve(folder).startsWith(path.resolve(dataFolder())))
    errors.push({
      path: 'folder',
      message: keepingAnswers.chooseAFolderOutsideOfThe,
    });
  if (errors.length > 0 || known === undefined) return refuse(...errors);
  await changeSettings(db, { backup: { ...backup, folder, passphrase: known } });
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: actor.therapistId, action: 'keeping changed', subject: 'house', detail: folder });
  return done;
}

/** Begins a backup and does not wait for it. */
export async function startBackup(db: Db, now: Date): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const { backup } = await findSettings(db);
  if (!backup) return refuse({ path: 'folder', message: keepingAnswers.sayFirstWhereBackupsGoAnd });
  if (running) return done;
  void backUp(db, now);
  return done;
}

/** Makes a backup and writes down how it went. @returns whether it was made */
export async function backUp(db: Db, now: Date): Promise<boolean> {
  const { backup } = await findSettings(db);
  if (!backup || running) return false;
  const cancel = new AbortController();
  running = { cancel, progress: { share: 0, doing: 'copying' } };
  try {
    await makeBackup(db, {
      ...{ folder: backup.folder, passphrase: backup.passphrase, now, signal: cancel.signal, houseKey: keyOfHouse() },
      onProgress: (progress) => {
        if (running) running.progress = progress;
      },
    });
    await noteHowItWent(db, { lastGoodAt: now.toISOString(), trouble: '' });
    return true;
  } catch (error) {
    if (!cancel.signal.aborted) {
      log.error({ err: error }, 'the backup failed');
      await noteHowItWent(db, { trouble: troubleInWords(error) }).catch(() => undefined);
    }
    return false;
  } finally {
    running = undefined;
  }
}

async function noteHowItWent(db: Db, how: { readonly lastGoodAt?: string; readonly trouble: string }): Promise<void> {
  // The folder may have been changed meanwhile: only what happened is written.
  const { backup } = await findSettings(db);
  if (backup) await changeSettings(db, { backup: { ...backup, ...how } });
}

function troubleInWords(error: unknown): string {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  if (code === 'ENOSPC') return keepingAnswers.theDiskOfTheBackupsIs;
  if (['EACCES', 'EPERM', 'EROFS'].includes(code)) return keepingAnswers.nothingMayBeWrittenIntoThe;
  if (code === 'ENOENT') return keepingAnswers.theFolderOfTheBackupsIs;
  return keepingAnswers.theBackupCouldNotBeMade;
}

export function cancelBackup(): { readonly kind: 'saved' } {
  running?.cancel.abort();
  return done;
}

/** Hours after which a house without a fresh backup is told so. */
const oldHours = 36;

/** What the day says about backups to the owner; undefined while all is well. */
export async function keepingTrouble(db: Db, now: Date): Promise<string | undefined> {
  const { backup } = await findSettings(db);
  if (!backup) return keepingAnswers.noBackupIsSetUp;
  if (backup.trouble) return keepingAnswers.theLastOneFailed;
  if (!backup.lastGoodAt) return keepingAnswers.noneHasBeenMadeYet;
  const hours = differenceInHours(now, parseISO(backup.lastGoodAt));
  return hours >= oldHours ? keepingAnswers.theLastGoodOneIsDays(Math.round(hours / 24)) : undefined;
}

/** The same as a loose end of the day. */
export async function keepingEnds(
  db: Db,
  now: Date,
): Promise<readonly { readonly text: string; readonly what: string; readonly href: string }[]> {
  const what = await keepingTrouble(db, now);
  return what ? [{ text: 'Backups', what, href: '/house?part=keeping' }] : [];
}

async function fileOf(db: Db, { name, passphrase }: RestoreInput) {
  const { backup } = await findSettings(db);
  return backup && { file: path.join(backup.folder, name), passphrase: passphrase || backup.passphrase };
}

/** Checks a backup from end to end. Nothing is changed. */
export async function lookIntoBackup(
  db: Db,
  input: RestoreInput,
): Promise<{ readonly kind: 'saved'; readonly contents: BackupContents } | SaveRefusal> {
  const chosen = await fileOf(db, input);
  if (!chosen) return { kind: 'not-found' };
  const ready = await prepared(chosen.file, chosen.passphrase, await listErasedClients(db));
  if (!('folder' in ready)) return ready;
  const { manifest, folder, erased } = ready;
  await rm(folder, { recursive: true, force: true });
  const { client = 0, visit = 0, attachment = 0 } = manifest.tables;
  const made = dayAndTime(manifest.madeAt);
  return {
    kind: 'saved',
    contents: { house: manifest.house, made, clients: client, visits: visit, files: attachment, erased },
  };
}

async function prepared(file: string, passphrase: string, erased: readonly number[]) {
  try {
    return await prepareRestore(file, passphrase, dataFolder(), erased, keyOfHouse());
  } catch (error) {
    if (!(error instanceof NotABackup)) throw error;
    const path_ = error.message.includes('passphrase') ? 'passphrase' : 'name';
    return refuse({ path: path_, message: error.message });
  }
}

/** Puts a backup in the place of the house; settings of backups stay those of today, so that they go on. */
export async function restoreBackup(
  db: Db,
  input: RestoreInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const hindrance = copyingTrouble(dataFolder());
  if (hindrance) return refuse({ path: 'name', message: hindrance });
  const chosen = await fileOf(db, input);
  if (!chosen) return { kind: 'not-found' };
  const { backup } = await findSettings(db);
  const ready = await prepared(chosen.file, chosen.passphrase, await listErasedClients(db));
  if (!('folder' in ready)) return ready;
  const house = await exchangeHouse(() => takePlace(ready, dataFolder(), keyOfHouse()));
  if (backup) await changeSettings(house, { backup });
  await insertAudit(house, {
    ...{ at: actor.now.toISOString(), by: null, action: 'backup restored', subject: 'house', detail: input.name },
  });
  return done;
}

export async function bringBack(actor: Actor): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const hindrance = copyingTrouble(dataFolder());
  if (hindrance) return refuse({ path: '', message: hindrance });
  if (!canUndo(dataFolder())) return refuse({ path: '', message: keepingAnswers.noHouseWasKeptAside });
  const house = await exchangeHouse(() => undoRestore(dataFolder(), keyOfHouse()));
  await insertAudit(house, {
    ...{ at: actor.now.toISOString(), by: null, action: 'restore undone', subject: 'house' },
  });
  return done;
}

const nightHour = 3;
const lookEveryMs = 10 * 60_000;

/** Makes a backup every night, and in the morning where the machine was asleep. Ends with the process. */
export function keepNightly(house: () => Promise<Db>, clock: () => Date = () => new Date()): void {
  const look = async () => {
    const now = clock();
    const db = await house();
    const { backup } = await findSettings(db);
    if (!backup || now.getHours() < nightHour) return;
    const isOfToday = backup.lastGoodAt !== undefined && shortDay(backup.lastGoodAt) === shortDay(now.toISOString());
    if (!isOfToday) await backUp(db, now);
  };
  setInterval(() => {
    look().catch((error: unknown) => log.error({ err: error }, 'the nightly backup could not be looked at'));
  }, lookEveryMs).unref();
}
