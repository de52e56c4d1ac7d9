import { timingSafeEqual } from 'node:crypto';
import process from 'node:process';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import type { HouseState } from '../house/house-state';
import { httpAnswers } from './http.answers';

/**
 * What a monitor may read, in the text format of Prometheus. Addresses are counted by their pattern (`/clients/{id}`):
 * nothing here tells of a person. Without a token in the environment nothing is counted and nothing answers.
 */
const token = (): string => process.env['VELVET_STONE_METRICS_TOKEN'] ?? '';

/** Whether somebody shows the token that the environment names. */
export function mayReadMetrics(authorization: string | null): boolean {
  const expected = Buffer.from(`Bearer ${token()}`);
  const shown = Buffer.from(authorization ?? '');
  return token() !== '' && shown.length === expected.length && timingSafeEqual(shown, expected);
}

const millisecondBuckets = [0.005, 0.01, 0.02, 0.04, 0.08, 0.16, 0.32, 0.64, 1.28, 2.56, 5.12];

interface Counted {
  readonly registry: Registry;
  readonly requests: Histogram;
  readonly house: Readonly<Record<'free' | 'database' | 'backup' | 'writable', Gauge>>;
}

let counted: Counted | undefined;

function counters(): Counted {
  if (counted) return counted;
  const registry = new Registry();
  const registers = [registry];
  collectDefaultMetrics({ register: registry });
  const gauge = (name: string, help: string) => new Gauge({ name: `velvet_stone_${name}`, help, registers });
  counted = {
    registry,
    requests: new Histogram({
      name: 'velvet_stone_request_seconds',
      help: httpAnswers.timeToAnswer,
      labelNames: ['route', 'method', 'status'],
      buckets: millisecondBuckets,
      registers,
    }),
    house: {
      free: gauge('disk_free_bytes', httpAnswers.bytesFree),
      database: gauge('database_bytes', httpAnswers.sizeOfTheDatabase),
      backup: gauge('backup_age_seconds', httpAnswers.timeSinceTheBackup),
      writable: gauge('database_writable', httpAnswers.oneWhileWritable),
    },
  };
  return counted;
}

/** Counts an answer. @param route its pattern; undefined for an address that is none */
export function noteAnswer(route: string | undefined, method: string, status: number, ms: number): void {
  if (token() === '') return;
  counters().requests.observe({ route: route ?? 'unknown', method, status: String(status) }, ms / 1000);
}

/** @returns the text of all counters, and its media type */
export async function metricsText(state: HouseState): Promise<{ readonly text: string; readonly mediaType: string }> {
  const { registry, house } = counters();
  house.free.set(state.freeBytes);
  house.database.set(state.databaseBytes);
  house.backup.set(state.backupHours === null || state.backupHours === undefined ? NaN : state.backupHours * 3600);
  house.writable.set(state.isWritable ? 1 : 0);
  return { text: await registry.metrics(), mediaType: registry.contentType };
}
