import type { Db } from '../db/connection';
import { log } from '../log';
import { insertAudit } from './audit.repository';
import type { Actor } from '../shared/saving';

/** Looking at the same record again within this time is one look. */
const sameLookMs = 10 * 60_000;
const recent = new Map<string, number>();

/** Writes down who looked at which record, after the page has been made: looking does not wait for it. */
export function noteView(db: Db, actor: Actor, subject: string): void {
  const key = `${actor.therapistId} ${subject}`;
  const last = recent.get(key);
  if (last !== undefined && actor.now.getTime() - last < sameLookMs) return;
  recent.set(key, actor.now.getTime());
  if (recent.size > 5000) recent.clear();
  setImmediate(() => {
    insertAudit(db, { at: actor.now.toISOString(), by: actor.therapistId, action: 'record seen', subject }).catch(
      (error: unknown) => log.error({ err: error }, 'a look could not be noted'),
    );
  });
}
