import { anatomy } from '../../catalogue/anatomy';
import type { ClientInput, PlacedFindingInput, VisitInput } from '../../contracts/record';
import { expandArea } from '../../core/anatomy/areas';
import { defaultSchool, type Finding, readCase } from '../../core/drainage/case';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { endFinding, insertFinding, listFindings } from '../repositories/findings';
import { findClient, insertClient } from '../repositories/people';
import { insertAudit, insertVisit } from '../repositories/visits';
import type { Actor, SaveRefusal } from './saving';

export async function addClient(
  db: Db,
  input: ClientInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number }> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const id = await insertClient(trx, input, now);
    await insertAudit(trx, { at: now, by: actor.therapistId, action: 'client added', subject: `client ${id}` });
    return { kind: 'saved', id };
  });
}

/** Places a finding on a client's body. Refused when it lacks its place, or cannot be true beside what is there. */
export async function addFinding(
  db: Db,
  clientId: number,
  input: PlacedFindingInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly key: number } | SaveRefusal> {
  const client = await findClient(db, clientId);
  if (!client) return { kind: 'not-found' };
  const known = await listFindings(db, clientId);
  const errors = [...findingErrors([...known, input]), ...dateErrors(input, client.born_on)];
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  const key = await db.transaction().execute(async (trx) => {
    const added = await insertFinding(trx, clientId, input, actor.therapistId, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'finding placed',
      subject: `client ${clientId}`,
      detail: input.id,
    });
    return added;
  });
  return { kind: 'saved', key };
}

/** The drainage core knows which findings make sense; its paths are turned to those of a single finding. */
function findingErrors(findings: readonly Finding[]): FieldError[] {
  const focus = ['whole-body'];
  const read = readCase(anatomy, {
    focus,
    purpose: 'swelling',
    findings,
    school: defaultSchool,
    minutes: 60,
    fill: false,
    qualifications: [],
  });
  return read.ok
    ? []
    : read.errors.map(({ path, message }) => ({ path: path.replace(/^findings\.\d+\.?/, ''), message }));
}

function dateErrors(input: PlacedFindingInput, bornOn: string | null): FieldError[] {
  return input.sinceOn && bornOn && input.sinceOn < bornOn
    ? [{ path: 'sinceOn', message: 'This date lies before the client was born.' }]
    : [];
}

export async function removeFinding(
  db: Db,
  clientId: number,
  key: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await endFinding(trx, clientId, key, actor.therapistId, now))) return { kind: 'not-found' } as const;
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'finding ended',
      subject: `client ${clientId}`,
      detail: `finding ${key}`,
    });
    return { kind: 'saved' } as const;
  });
}

/** Books a visit. Refused for an unknown client, therapist or area. */
export async function bookVisit(
  db: Db,
  input: VisitInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const errors: FieldError[] = input.focus.flatMap((id, i) =>
    expandArea(anatomy, id) ? [] : [{ path: `focus.${i}`, message: `There is no area “${id}”.` }],
  );
  if (!(await findClient(db, input.clientId))) errors.push({ path: 'clientId', message: 'There is no such client.' });
  const therapist = await db
    .selectFrom('therapist')
    .select('id')
    .where('id', '=', input.therapistId)
    .executeTakeFirst();
  if (!therapist) errors.push({ path: 'therapistId', message: 'There is no such therapist.' });
  if (errors.length > 0) return { kind: 'refused', errors };
  const id = await db.transaction().execute(async (trx) => {
    const added = await insertVisit(trx, input);
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'visit booked',
      subject: `visit ${added}`,
    });
    return added;
  });
  return { kind: 'saved', id };
}
