import { accessSync, constants, statfsSync, statSync } from 'node:fs';
import path from 'node:path';
import { databaseName, type Db } from '../db/connection';
import { findSettings } from '../people/settings.repository';

/** How the house is doing, for programs that watch over it; nothing of it tells of anybody. */
export interface HouseState {
  readonly isWritable: boolean;
  readonly databaseBytes: number;
  readonly freeBytes: number;
  /** Share of the disk that is free, 0–1. */
  readonly freeShare: number;
  /** Hours since the last good backup; null where none was made, undefined where the house has not said where they go. */
  readonly backupHours: number | null | undefined;
}

const leastFreeBytes = 1_000_000_000;
const leastFreeShare = 0.05;
/** A night may fail; two in a row are somebody's business. */
const latestBackupHours = 50;

/** Whether so little of a disk is free that the house may soon stop storing. */
export const isDiskLow = ({ freeBytes, freeShare }: Pick<HouseState, 'freeBytes' | 'freeShare'>): boolean =>
  freeBytes < leastFreeBytes || freeShare < leastFreeShare;

export const backupVerdict = ({ backupHours }: Pick<HouseState, 'backupHours'>): 'ok' | 'late' | 'none' =>
  backupHours === undefined ? 'none' : backupHours === null || backupHours > latestBackupHours ? 'late' : 'ok';

/** @throws when the folder is not there */
export function readDisk(folder: string): Pick<HouseState, 'freeBytes' | 'freeShare'> {
  const { bavail, blocks, bsize } = statfsSync(folder);
  return { freeBytes: bavail * bsize, freeShare: blocks === 0 ? 0 : bavail / blocks };
}

export function mayWriteTo(file: string): boolean {
  try {
    accessSync(file, constants.W_OK);
    return true;
  } catch {
    return false;
  }
}

export async function readHouseState(db: Db, folder: string, now: Date): Promise<HouseState> {
  const file = path.join(folder, databaseName);
  const { backup } = await findSettings(db);
  const last = backup?.lastGoodAt;
  return {
    isWritable: mayWriteTo(file),
    databaseBytes: statSync(file, { throwIfNoEntry: false })?.size ?? 0,
    ...readDisk(folder),
    backupHours: backup && (last ? (now.getTime() - Date.parse(last)) / 3_600_000 : null),
  };
}
