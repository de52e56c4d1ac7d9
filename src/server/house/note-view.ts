import type { AuditAction } from '../../contracts/audit';
import type { Db } from '../db/connection';
import { log } from '../log';
import type { Actor } from '../shared/saving';
import { insertAudit } from './audit.repository';

/** Looking at the same thing again within this time is one look. */
const sameLookMs = 10 * 60_000;
const recent = new Map<string, number>();

/** Writes down who looked at which record, after the answer has been made: looking does not wait for it. */
export function noteView(db: Db, actor: Actor, subject: string, what: string): void {
  note(db, actor, { action: 'record seen', subject, detail: what });
}

/** Writes down that somebody was refused something. */
export function noteRefusal(db: Db, actor: Actor, what: string): void {
  note(db, actor, { action: 'refused at the door', subject: `staff ${actor.therapistId}`, detail: what });
}

function note(
  db: Db,
  actor: Actor,
  entry: { readonly action: AuditAction; readonly subject: string; readonly detail: string },
): void {
  const key = `${actor.therapistId} ${entry.action} ${entry.subject} ${entry.detail}`;
  const last = recent.get(key);
  if (last !== undefined && actor.now.getTime() - last < sameLookMs) return;
  recent.set(key, actor.now.getTime());
  if (recent.size > 5000) recent.clear();
  setImmediate(() => {
    insertAudit(db, { at: actor.now.toISOString(), by: actor.therapistId, ...entry }).catch((error: unknown) =>
      log.error({ err: error }, 'a look could not be noted'),
    );
  });
}

/**
 * Whose record an address shows: a client's, or the visit's that it is about, named in the path or, as benches have it,
 * behind the question mark; undefined where it shows none.
 */
export function recordOf({ pathname: path, searchParams }: URL): string | undefined {
  const [, kind, id] = /^(?:\/api)?\/(client|visit|tablet)s?\/(\d+)(?:\/|$)/.exec(path) ?? [];
  if (kind && id) return `${kind === 'client' ? 'client' : 'visit'} ${id}`;
  if (!/^(\/api)?\/(bench|oils|stones)(\/|$)/.test(path)) return undefined;
  for (const of of ['visit', 'client'] as const) {
    const asked = searchParams.get(of) ?? '';
    if (/^\d+$/.test(asked)) return `${of} ${asked}`;
  }
  return undefined;
}
