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
import { settingsColumn } from '../people/people.documents';
import { doctorAnswers as says } from './doctor.answers';

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
  if (!stat?.isDirectory()) return [look(says.dataFolder, says.thereIsNone(folder)), examineNetwork(environment)];
  return [
    examineFolder(folder, stat.mode, stat.uid),
    examineDisk(folder),
    ...examineKeyFile(environment['VELVET_STONE_KEY_FILE']),
    ...(await examineData(folder, now)),
    examineNetwork(environment),
  ];
}

function examineFolder(folder: string, mode: number, owner: number): Examined {
  const file = path.join(folder, databaseName);
  const isThere = statSync(file, { throwIfNoEntry: false }) !== undefined;
  const me = process.getuid?.();
  if (me !== undefined && me !== 0 && owner !== me) return bad(says.dataFolder, says.belongsToAnother(folder));
  if (!mayWriteTo(isThere ? file : folder)) return bad(says.dataFolder, says.notWritable(isThere ? file : folder));
  if ((mode & 0o077) !== 0) return bad(says.dataFolder, says.openToOthers(folder));
  return good(says.dataFolder, says.closedToOthers(folder));
}

function examineDisk(folder: string): Examined {
  const disk = readDisk(folder);
  const [gigabytes, percent] = [(disk.freeBytes / 1e9).toFixed(1), Math.floor(100 * disk.freeShare)];
  return isDiskLow(disk)
    ? bad(says.disk, says.littleIsFree(gigabytes, percent))
    : good(says.disk, says.free(gigabytes, percent));
}

function examineKeyFile(file: string | undefined): readonly Examined[] {
  if (!file) return [];
  try {
    accessSync(file, constants.R_OK);
  } catch {
    return [bad(says.keyFile, says.keyFileIsMissing(file))];
  }
  const isOpen = (statSync(file).mode & 0o077) !== 0;
  return [isOpen ? bad(says.keyFile, says.keyFileIsOpen(file)) : good(says.keyFile, says.keyFileIsPrivate)];
}

async function examineData(folder: string, now: Date): Promise<readonly Examined[]> {
  const file = path.join(folder, databaseName);
  if (!statSync(file, { throwIfNoEntry: false })) return [look(says.house, says.noHouseYet)];
  const isEncrypted = isSealed(file);
  const key = await keyFromFile(folder).catch(() => undefined);
  if (isEncrypted && !key) return [good(says.data, says.sealed)];
  let sqlite: SQLite.Database | undefined;
  try {
    sqlite = new SQLite(file, { readonly: true, fileMustExist: true });
    if (key) giveKey(sqlite, key);
    return [...(isEncrypted ? [good(says.data, says.sealedAndOpened)] : []), ...examineHouse(sqlite, now)];
  } catch (error) {
    const trouble = troubleOf(error);
    return [bad(says.data, trouble.kind === 'damaged' ? says.damaged : says.notOpened(trouble.message))];
  } finally {
    sqlite?.close();
  }
}

function examineHouse(sqlite: SQLite.Database, now: Date): readonly Examined[] {
  if (sqlite.pragma('quick_check(1)', { simple: true }) !== 'ok') return [bad(says.data, says.damaged)];
  const isThere = (table: string) =>
    sqlite.prepare("select 1 from sqlite_master where type = 'table' and name = ?").get(table) !== undefined;
  if (!isThere('migration')) return [look(says.house, says.noHouseYet)];
  const applied = sqlite.prepare('select name from migration').pluck().all() as readonly string[];
  if (applied.some((name) => !knownMigrations.includes(name))) return [bad(says.data, says.newerForm)];
  const pending = pendingMigrations(sqlite).length;
  const megabytes = (Number(sqlite.pragma('page_count', { simple: true })) * pageBytes(sqlite)) / 1e6;
  const form =
    pending > 0 ? look(says.data, says.olderForm(pending)) : good(says.data, says.sound(megabytes.toFixed(1)));
  const house = sqlite.prepare('select name, settings_json from house').get() as
    { readonly name: string; readonly settings_json: string } | undefined;
  if (!house) return [form, look(says.house, says.noHouseYet)];
  const clients = Number(sqlite.prepare('select count(*) from client where merged_into is null').pluck().get());
  return [form, good(says.house, says.people(house.name, clients)), ...examineBackups(house.settings_json, now)];
}

const pageBytes = (sqlite: SQLite.Database) => Number(sqlite.pragma('page_size', { simple: true }));

function examineBackups(settings: string, now: Date): readonly Examined[] {
  const { backup } = settingsColumn.read(settings);
  if (!backup) return [look(says.backups, says.backupsNowhere)];
  const last = backup.lastGoodAt;
  const hours = last ? (now.getTime() - Date.parse(last)) / 3_600_000 : null;
  const age = Math.round(hours ?? 0);
  const isLate = backupVerdict({ backupHours: hours }) === 'late';
  return [
    hours === null
      ? bad(says.backups, says.backupNever(backup.folder))
      : isLate
        ? bad(says.backups, says.backupLate(age, backup.folder))
        : good(says.backups, says.backupMadeAgo(age, backup.folder)),
    ...(backup.trouble ? [look(says.backups, says.backupWentWrong(backup.trouble))] : []),
    ...(mayWriteTo(backup.folder) ? [] : [bad(says.backups, says.backupFolderNotWritable(backup.folder))]),
  ];
}

function examineNetwork(environment: Environment): Examined {
  const host = environment['HOST'] ?? '127.0.0.1';
  if (['127.0.0.1', 'localhost', '::1'].includes(host)) return good(says.network, says.onThisMachineOnly);
  const names = environment['VELVET_STONE_HOSTS'] ?? '';
  return names === ''
    ? bad(says.network, says.beyondWithoutNames(host))
    : look(says.network, says.beyondWithNames(host, names));
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
