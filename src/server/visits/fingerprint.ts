import { createHash } from 'node:crypto';
import type { DrainageCase } from '../../core/drainage/case';
import { screenCase } from '../screening/screen-visit';
import { screeningCaseOf } from './visit-case';
import type { VisitRecord } from './visit-record';

/**
 * What a plan was made of, as one short text that is kept with it and compared with what is known now. The version is
 * part of it: raise it when the judgement itself changes, and every plan of before is told as old.
 */
const judgedBy = 'judgement 2';

/** The facts of a drainage, without its sentences: another wording of a reason makes no plan old. */
export function fingerprintOfCase({ screened, ...input }: DrainageCase): string {
  if (!screened) return fingerprint([input]);
  const { drainage, rerouting, ...limits } = screened;
  return fingerprint([input, limits, drainage.decision, rerouting.decision]);
}

/** What screening and the skin of the day say of a visit that holds a whole treatment. */
export function fingerprintOfVisit(visit: VisitRecord): string {
  const { byModality, regions } = screenCase(screeningCaseOf(visit));
  const rows = [...byModality, ...regions].map((row) => [
    row.modality,
    'region' in row ? row.region : '',
    row.decision,
    row.limits,
  ]);
  return fingerprint([rows, visit.focus, visit.purpose, visit.therapist.qualifications, [...visit.irritated]]);
}

const fingerprint = (facts: readonly unknown[]): string =>
  createHash('sha256')
    .update(JSON.stringify([judgedBy, facts], inOrder))
    .digest('base64url')
    .slice(0, 22);

/** The same facts give the same text, in whichever order their fields stand. */
const inOrder = (_: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
