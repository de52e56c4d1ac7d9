import type { ClientId } from '../../core/ids';
import type { AuditAction } from '../../contracts/audit';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook } from '../../catalogue/screening/screening';
import type { ClearanceInput, FindingChangeInput, PlacedFindingInput } from '../../contracts/record';
import type { PlacedFinding } from '../../contracts/people-views';
import { defaultSchool, readCase } from '../../core/drainage/case';
import type { PlaceId } from '../../core/anatomy/place';
import { eventDay } from '../../core/screening/time';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { endFinding, insertFinding, unendFinding, listFindings, type StoredFinding } from './findings.repository';
import { insertAudit } from '../house/audit.repository';
import { describeFinding, drainageOf } from './describe-finding';
import { isoDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { screeningAnswers } from './screening.answers';

type Placed = { readonly kind: 'saved'; readonly finding: PlacedFinding } | SaveRefusal;

/** Places a finding on a client's record. Refused when its place or date cannot be, or it contradicts what is there. */
export async function addFinding(
  db: Db,
  clientId: ClientId,
  input: PlacedFindingInput,
  actor: Actor,
  source: 'therapist' | 'client' = 'therapist',
): Promise<Placed> {
  const client = await findClient(db, clientId);
  if (!client) return { kind: 'not-found' };
  const known = await listFindings(db, clientId);
  const errors = [...findingErrors(known, input, client.born_on), ...placeErrors(input)];
  if (errors.length > 0) return { kind: 'refused', errors };
  return store(db, clientId, { ...input, source }, actor, 'finding placed');
}

/** Corrects a finding: the new one takes its place, the old one stays with who changed it, when and why. */
export async function correctFinding(
  db: Db,
  clientId: ClientId,
  key: number,
  input: FindingChangeInput,
  actor: Actor,
): Promise<Placed> {
  const client = await findClient(db, clientId);
  const known = await listFindings(db, clientId);
  const old = known.find((finding) => finding.key === key);
  if (!client || !old) return { kind: 'not-found' };
  const { reason, ...next } = input;
  const errors = findingErrors(
    known.filter((finding) => finding.key !== key),
    next,
    client.born_on,
  );
  if (errors.length > 0) return { kind: 'refused', errors };
  return replace(db, clientId, old, next, actor, reason);
}

/** Adds the written note of a treating professional to a finding. */
export async function addClearance(
  db: Db,
  clientId: ClientId,
  key: number,
  clearance: ClearanceInput,
  actor: Actor,
): Promise<Placed> {
  const old = (await listFindings(db, clientId)).find((finding) => finding.key === key);
  if (!old) return { kind: 'not-found' };
  const unknown =
    clearance.modalities === 'all' ? [] : clearance.modalities.filter((id) => !screeningBook.modalities.has(id));
  const errors: FieldError[] = unknown.map((id) => ({
    path: 'modalities',
    message: screeningAnswers.thereIsNoWorkCalled(id),
  }));
  const eventOn = eventDay(old.sinceOn ?? undefined, isoDay(actor.now.toISOString()));
  if (eventOn !== undefined && clearance.date < eventOn)
    errors.push({
      path: 'date',
      message:
        old.sinceOn === eventOn ? screeningAnswers.theNoteIsOlderThanWhat : screeningAnswers.theNoteMayBeOlderThan,
    });
  if (errors.length > 0) return { kind: 'refused', errors };
  return replace(
    db,
    clientId,
    { ...old, clearance },
    { ...old, id: old.id } as PlacedFindingInput,
    actor,
    screeningAnswers.clearanceNoteAdded,
  );
}

export async function removeFinding(
  db: Db,
  clientId: ClientId,
  key: number,
  actor: Actor,
  reason = '',
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await endFinding(trx, clientId, key, actor.therapistId, now, reason))) return { kind: 'not-found' } as const;
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

/** Takes back that a finding was ended; not of one that was corrected since. */
export async function takeBackFinding(
  db: Db,
  clientId: ClientId,
  key: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  return db.transaction().execute(async (trx) => {
    if (!(await unendFinding(trx, clientId, key))) return { kind: 'not-found' } as const;
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'finding taken back',
      subject: `client ${clientId}`,
      detail: `finding ${key}`,
    });
    return { kind: 'saved' } as const;
  });
}

async function replace(
  db: Db,
  clientId: ClientId,
  old: StoredFinding,
  next: PlacedFindingInput,
  actor: Actor,
  reason: string,
): Promise<Placed> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    await endFinding(trx, clientId, old.key, actor.therapistId, now, reason || 'corrected');
    return store(
      trx,
      clientId,
      { ...next, source: old.source, clearance: old.clearance, replaces: old.key },
      actor,
      'finding corrected',
    );
  });
}

async function store(
  db: Db,
  clientId: ClientId,
  input: Parameters<typeof insertFinding>[2],
  actor: Actor,
  action: AuditAction,
): Promise<Placed> {
  const now = actor.now.toISOString();
  const write = async (trx: Db): Promise<Placed> => {
    const key = await insertFinding(trx, clientId, input, actor.therapistId, now);
    await insertAudit(trx, { at: now, by: actor.therapistId, action, subject: `client ${clientId}`, detail: input.id });
    const stored = (await listFindings(trx, clientId)).find((finding) => finding.key === key);
    if (!stored) throw new Error('a finding vanished inside its own transaction');
    return { kind: 'saved', finding: describeFinding(stored, isoDay(now)) };
  };
  return db.isTransaction ? write(db) : db.transaction().execute(write);
}

/** What speaks against a finding beside those that are there already; paths are those of the one finding. */
function findingErrors(
  known: readonly StoredFinding[],
  input: PlacedFindingInput,
  bornOn: string | null,
): readonly FieldError[] {
  const condition = screeningBook.conditions.get(input.id);
  if (!condition && input.id !== 'thickened')
    return [{ path: 'id', message: screeningAnswers.thereIsNoFindingCalled(input.id) }];
  const errors: FieldError[] = [];
  (input.regions ?? []).forEach((id, i) => {
    if (!anatomy.territories.has(id) && !anatomy.basins.has(id))
      errors.push({ path: `regions.${i}`, message: screeningAnswers.thereIsNoPlaceOnThe(id) });
  });
  if (input.sinceOn && bornOn && input.sinceOn < bornOn.slice(0, input.sinceOn.length))
    errors.push({ path: 'sinceOn', message: screeningAnswers.thisDateLiesBeforeTheClient });
  (input.crosses ?? []).forEach((pair, i) => {
    const [a = '', b = ''] = pair;
    const areKnown = pair.every((id) => anatomy.territories.has(id) || anatomy.basins.has(id));
    if (areKnown && a !== b && !areNeighbours(a, b))
      errors.push({ path: `crosses.${i}`, message: screeningAnswers.aScarRunsBetweenTwoNeighbours });
  });
  if (errors.length > 0) return errors;
  const draft: StoredFinding = { ...input, key: 0, source: 'therapist', clearance: null } as StoredFinding;
  return drainageErrors([...known, draft]);
}

/** What is placed by hand has a place; answers of the intake may get theirs later. */
function placeErrors({ id, side, regions = [], crosses = [] }: PlacedFindingInput): readonly FieldError[] {
  const locatable = id === 'thickened' ? 'region' : (screeningBook.conditions.get(id)?.locatable ?? 'no');
  if (locatable === 'no' || regions.length > 0 || crosses.length > 0) return [];
  if (locatable !== 'side') return [{ path: 'regions', message: screeningAnswers.markThePlaceOnTheBody }];
  return side ? [] : [{ path: 'side', message: screeningAnswers.sayOnWhichSideLeftRight }];
}

function areNeighbours(a: PlaceId, b: PlaceId): boolean {
  return anatomy.edges.some((e) => (e.from === a && e.to === b) || (e.from === b && e.to === a));
}

/** The drainage core knows which findings make sense together; its paths are turned to those of the last one. */
function drainageErrors(findings: readonly StoredFinding[]): readonly FieldError[] {
  const read = readCase(anatomy, {
    focus: ['whole-body'],
    purpose: 'swelling',
    findings: drainageOf(findings),
    school: defaultSchool,
    minutes: 60,
    fill: false,
    qualifications: [],
  });
  if (read.ok) return [];
  return read.errors.map(({ path, message }) => ({ path: path.replace(/^findings\.\d+\.?/, ''), message }));
}
