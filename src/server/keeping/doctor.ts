import { accessSync, constants, statSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { databaseName } from '../db/connection';
import { keyFromFile } from '../db/house';
import { giveKey, isSealed } from '../db/house-key';
import { knownMigrations, pendingMigrations } from '../db/migrate';
import { troubleOf } from '../db/trouble';
import { backupVerdict, isDiskLow, mayWriteTo, readDisk } from '../house/house-state';
import { readMailSettings } from '../messages/mail-way';
import { settingsColumn } from '../people/people.documents';
import { doctorAnswers } from './doctor.answers';

/** @param verdict `good`, `look` at it some day, or `bad`: the house would not work, or not be safe */
export interface Examined {
  readonly what: string;
  readonly verdict: 'good' | 'look' | 'bad';
  readonly words: string;
}

const good = (what: string, words: string): Examined => ({ what, verdict: 'good', words });
const look = (what: string, words: string): Examined => ({ what, verdict: 'look', words });
const bad = (what: string, words: string): Examined => ({ what, verdict: 'bad', words });

type Environment = Readonly<Record<string, string | undefined>>;

/** Looks at a data folder and what the environment says, and changes nothing; also while the house runs. */
export async function examine(folder: string, environment: Environment, now: Date): Promise<readonly Examined[]> {
  const stat = statSync(folder, { throwIfNoEntry: false });
  if (!stat?.isDirectory())
    return [
      look(doctorAnswers.dataFolder, doctorAnswers.thereIsNone(folder)),
      examineNetwork(environment),
      ...examineMail(environment),
    ];
  return [
    examineFolder(folder, stat.mode, stat.uid),
    examineDisk(folder),
    ...examineKeyFile(environment['VELVET_STONE_KEY_FILE']),
    ...(await examineData(folder, now)),
    examineNetwork(environment),
    ...examineMail(environment),
  ];
}

function examineFolder(folder: string, mode: number, owner: number): Examined {
  const file = path.join(folder, databaseName);
  const isThere = statSync(file, { throwIfNoEntry: false }) !== undefined;
  const me = process.getuid?.();
  if (me !== undefined && me !== 0 && owner !== me)
    return bad(doctorAnswers.dataFolder, doctorAnswers.belongsToAnother(folder));
  if (!mayWriteTo(isThere ? file : folder))
    return bad(doctorAnswers.dataFolder, doctorAnswers.notWritable(isThere ? file : folder));
  if ((mode & 0o077) !== 0) return bad(doctorAnswers.dataFolder, doctorAnswers.openToOthers(folder));
  return good(doctorAnswers.dataFolder, doctorAnswers.closedToOthers(folder));
}

function examineDisk(folder: string): Examined {
  const disk = readDisk(folder);
  const [gigabytes, percent] = [(disk.freeBytes / 1e9).toFixed(1), Math.floor(100 * disk.freeShare)];
  return isDiskLow(disk)
    ? bad(doctorAnswers.disk, doctorAnswers.littleIsFree(gigabytes, percent))
    : good(doctorAnswers.disk, doctorAnswers.free(gigabytes, percent));
}

function examineKeyFile(file: string | undefined): readonly Examined[] {
  if (!file) return [];
  try {
    accessSync(file, constants.R_OK);
  } catch {
    return [bad(doctorAnswers.keyFile, doctorAnswers.keyFileIsMissing(file))];
  }
  const isOpen = (statSync(file).mode & 0o077) !== 0;
  return [
    isOpen
      ? bad(doctorAnswers.keyFile, doctorAnswers.keyFileIsOpen(file))
      : good(doctorAnswers.keyFile, doctorAnswers.keyFileIsPrivate),
  ];
}

async function examineData(folder: string, now: Date): Promise<readonly Examined[]> {
  const file = path.join(folder, databaseName);
  if (!statSync(file, { throwIfNoEntry: false })) return [look(doctorAnswers.house, doctorAnswers.noHouseYet)];
  const isEncrypted = isSealed(file);
  const key = await keyFromFile(folder).catch(() => undefined);
  if (isEncrypted && !key) return [good(doctorAnswers.data, doctorAnswers.sealed)];
  let sqlite: SQLite.Database | undefined;
  try {
    sqlite = new SQLite(file, { readonly: true, fileMustExist: true });
    if (key) giveKey(sqlite, key);
    return [
      ...(isEncrypted ? [good(doctorAnswers.data, doctorAnswers.sealedAndOpened)] : []),
      ...examineHouse(sqlite, now),
    ];
  } catch (error) {
    const trouble = troubleOf(error);
    return [
      bad(
        doctorAnswers.data,
        trouble.kind === 'damaged' ? doctorAnswers.damaged : doctorAnswers.notOpened(trouble.message),
      ),
    ];
  } finally {
    sqlite?.close();
  }
}

function examineHouse(sqlite: SQLite.Database, now: Date): readonly Examined[] {
  if (sqlite.pragma('quick_check(1)', { simple: true }) !== 'ok')
    return [bad(doctorAnswers.data, doctorAnswers.damaged)];
  const isThere = (table: string) =>
    sqlite.prepare("select 1 from sqlite_master where type = 'table' and name = ?").get(table) !== undefined;
  if (!isThere('migration')) return [look(doctorAnswers.house, doctorAnswers.noHouseYet)];
  const applied = sqlite.prepare('select name from migration').pluck().all() as readonly string[];
  if (applied.some((name) => !knownMigrations.includes(name)))
    return [bad(doctorAnswers.data, doctorAnswers.newerForm)];
  const pending = pendingMigrations(sqlite).length;
  const megabytes = (Number(sqlite.pragma('page_count', { simple: true })) * pageBytes(sqlite)) / 1e6;
  const form =
    pending > 0
      ? look(doctorAnswers.data, doctorAnswers.olderForm(pending))
      : good(doctorAnswers.data, doctorAnswers.sound(megabytes.toFixed(1)));
  const house = sqlite.prepare('select name, settings_json from house').get() as
    { readonly name: string; readonly settings_json: string } | undefined;
  if (!house) return [form, look(doctorAnswers.house, doctorAnswers.noHouseYet)];
  const clients = Number(sqlite.prepare('select count(*) from client where merged_into is null').pluck().get());
  return [
    form,
    good(doctorAnswers.house, doctorAnswers.people(house.name, clients)),
    ...examineBackups(house.settings_json, now),
  ];
}

const pageBytes = (sqlite: SQLite.Database) => Number(sqlite.pragma('page_size', { simple: true }));

function examineBackups(settings: string, now: Date): readonly Examined[] {
  const { backup } = settingsColumn.read(settings);
  if (!backup) return [look(doctorAnswers.backups, doctorAnswers.backupsNowhere)];
  const last = backup.lastGoodAt;
  const hours = last ? (now.getTime() - Date.parse(last)) / 3_600_000 : null;
  const age = Math.round(hours ?? 0);
  const isLate = backupVerdict({ backupHours: hours }) === 'late';
  return [
    hours === null
      ? bad(doctorAnswers.backups, doctorAnswers.backupNever(backup.folder))
      : isLate
        ? bad(doctorAnswers.backups, doctorAnswers.backupLate(age, backup.folder))
        : good(doctorAnswers.backups, doctorAnswers.backupMadeAgo(age, backup.folder)),
    ...(backup.trouble ? [look(doctorAnswers.backups, doctorAnswers.backupWentWrong(backup.trouble))] : []),
    ...(mayWriteTo(backup.folder)
      ? []
      : [bad(doctorAnswers.backups, doctorAnswers.backupFolderNotWritable(backup.folder))]),
  ];
}

function examineMail(environment: Environment): readonly Examined[] {
  const settings = readMailSettings(environment);
  if (settings === undefined) return [];
  if (typeof settings === 'string') return [bad(doctorAnswers.mail, settings)];
  const words = doctorAnswers.mailsThrough(settings.address.host, settings.from);
  return [
    (environment['VELVET_STONE_BOUNCE_TOKEN'] ?? '') === ''
      ? look(doctorAnswers.mail, `${words}; ${doctorAnswers.noReports}`)
      : good(doctorAnswers.mail, words),
  ];
}

function examineNetwork(environment: Environment): Examined {
  const host = environment['HOST'] ?? '127.0.0.1';
  if (['127.0.0.1', 'localhost', '::1'].includes(host))
    return good(doctorAnswers.network, doctorAnswers.onThisMachineOnly);
  const names = environment['VELVET_STONE_HOSTS'] ?? '';
  return names === ''
    ? bad(doctorAnswers.network, doctorAnswers.beyondWithoutNames(host))
    : look(doctorAnswers.network, doctorAnswers.beyondWithNames(host, names));
}

/** What the shell shows, a line each, and whether anything is bad. */
export async function doctorFromShell(
  folder: string,
  machine: readonly Examined[],
  environment: Environment = process.env,
): Promise<0 | 1> {
  const all = [...machine, ...(await examine(folder, environment, new Date()))];
  const widest = Math.max(...all.map(({ what }) => what.length));
  const marks: Readonly<Record<Examined['verdict'], string>> = { good: '  ok', look: 'look', bad: ' BAD' };
  for (const { what, verdict, words } of all)
    process.stdout.write(`${marks[verdict]}  ${what.padEnd(widest)}  ${words}\n`);
  return all.some(({ verdict }) => verdict === 'bad') ? 1 : 0;
}
