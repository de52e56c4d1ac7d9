import { rmSync } from 'node:fs';
import path from 'node:path';

/** The copy of a database in which its encryption is changed, before it takes its place. */
export const exchangingFile = (folder: string, databaseName: string): string =>
  path.join(folder, `${databaseName}.exchanging`);

/** The file whose place it has taken, until it is written over. */
export const exchangedFile = (folder: string, databaseName: string): string =>
  `${exchangingFile(folder, databaseName)}.old`;

/** Removes what an exchange has left behind that was ended in its middle; the house itself was whole all the time. */
export function tidyExchange(folder: string, databaseName: string): void {
  const part = exchangingFile(folder, databaseName);
  for (const end of ['', '-journal', '-wal', '-shm', '.old']) rmSync(`${part}${end}`, { force: true });
}
