import { existsSync, rmSync } from 'node:fs';
import path from 'node:path';
import { databaseName } from '../db/connection';
import { keepingAnswers } from './keeping.answers';

/** Lies in the data folder as long as the house is being copied to a second machine. */
const markName = 'replicate.yml';
/** What the copying program keeps beside the database, in the clear. */
const shadowName = `.${databaseName}-litestream`;

/** Why the file of the house may not be exchanged now; undefined when it may. The copy would go on with the old one. */
export function copyingTrouble(folder: string): string | undefined {
  return existsSync(path.join(folder, markName)) ? keepingAnswers.theHouseIsBeingCopiedTo : undefined;
}

/** What an earlier copying has left behind says in the clear what the house says. */
export const dropShadow = (folder: string): void =>
  rmSync(path.join(folder, shadowName), { recursive: true, force: true });
