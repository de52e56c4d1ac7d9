import type { TechniqueId } from '../../core/ids';
import { knownWith, shippedLibrary } from '../../catalogue/library/library';
import type { LibraryFile } from '../../contracts/library';
import type { ImportedLibrary, ImportKind } from '../../contracts/library-views';
import { problemsOfProtocol, problemsOfTechnique } from '../../core/library/check-library';
import { gapsOfProtocol, gapsOfTechnique } from '../../core/library/gaps';
import type { Protocol } from '../../core/library/protocol';
import type { Technique } from '../../core/library/technique';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { type EntryKind, findEntry, insertEntry, type LibraryDocument, removeEntry } from './library.repository';
import { insertAudit } from '../house/audit.repository';
import { readHouseLibrary } from './read-library';
import type { Actor, SaveRefusal } from '../shared/saving';
import { libraryAnswers } from './library.answers';

type Saved = { readonly kind: 'saved'; readonly version: number } | SaveRefusal;

/** Keeps a technique as the house's own, before the one that ships if there is one. */
export async function saveTechnique(db: Db, technique: Technique, basedOn: number, actor: Actor): Promise<Saved> {
  const errors = problemsOfTechnique(technique);
  if (errors.length > 0) return { kind: 'refused', errors };
  return store(db, { kind: 'technique', document: technique }, basedOn, actor);
}

/** Keeps a protocol as the house's own. */
export async function saveProtocol(db: Db, protocol: Protocol, basedOn: number, actor: Actor): Promise<Saved> {
  const { known } = await readHouseLibrary(db);
  const errors = problemsOfProtocol(protocol, known);
  if (errors.length > 0) return { kind: 'refused', errors };
  return store(db, { kind: 'protocol', document: protocol }, basedOn, actor);
}

async function store(db: Db, entry: LibraryDocument, basedOn: number, actor: Actor): Promise<Saved> {
  const { kind, document } = entry;
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const known = await findEntry(trx, kind, document.id);
    const seen = known && known.removed_at === null ? known.version : 0;
    if (seen !== basedOn) return { kind: 'edited-elsewhere' } as const;
    const version = await insertEntry(trx, { ...entry, by: actor.therapistId, now });
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: `${kind} saved`,
      subject: `${kind} ${document.id}`,
      detail: `${document.name}, version ${version}`,
    });
    return { kind: 'saved', version } as const;
  });
}

/** Takes the house's own version away: what ships comes back, and what is only its own is gone from the list. */
export async function restoreEntry(
  db: Db,
  kind: EntryKind,
  id: string,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const library = await readHouseLibrary(db);
  const isOnlyOwn = kind === 'technique' && !shippedLibrary.techniques.has(id);
  const users = isOnlyOwn ? usersOf(library.protocols.values(), id) : [];
  if (users.length > 0)
    return {
      kind: 'refused',
      errors: [{ path: '', message: libraryAnswers.itIsUsedInTakeIt(users.join(', ')) }],
    };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await removeEntry(trx, kind, id, now))) return { kind: 'not-found' } as const;
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: `own ${kind} taken away`,
      subject: `${kind} ${id}`,
    });
    return { kind: 'saved' } as const;
  });
}

const usersOf = (protocols: Iterable<Protocol>, technique: TechniqueId) =>
  [...protocols]
    .filter(({ blocks }) => blocks.some(({ steps }) => steps.some((step) => step.technique === technique)))
    .map(({ name }) => `“${name}”`);

/**
 * Reads a library file: says what it would bring, and brings it in one piece when `isStored`.
 * @returns every fault with its place; then nothing is stored
 */
export async function importLibrary(
  db: Db,
  file: LibraryFile,
  isStored: boolean,
  actor: Actor,
): Promise<ImportedLibrary | SaveRefusal> {
  const library = await readHouseLibrary(db);
  const techniques = new Map([...library.techniques, ...file.techniques.map((one) => [one.id, one] as const)]);
  const errors: readonly FieldError[] = [
    ...file.techniques.flatMap((one, i) => problemsOfTechnique(one, `techniques.${i}`)),
    ...file.protocols.flatMap((one, i) => problemsOfProtocol(one, knownWith(techniques), `protocols.${i}`)),
  ];
  if (errors.length > 0) return { kind: 'refused', errors };
  const whatOf = (known: unknown, now: unknown): ImportKind =>
    known === undefined ? 'new' : sameDocument(known, now) ? 'same' : 'changed';
  const entries = [
    ...file.techniques.map((one) => ({
      entry: { kind: 'technique', document: one } as const,
      what: whatOf(library.techniques.get(one.id), one),
      gaps: gapsOfTechnique(one),
    })),
    ...file.protocols.map((one) => ({
      entry: { kind: 'protocol', document: one } as const,
      what: whatOf(library.protocols.get(one.id), one),
      gaps: gapsOfProtocol(one),
    })),
  ];
  if (isStored) {
    const now = actor.now.toISOString();
    await db.transaction().execute(async (trx) => {
      for (const { entry, what } of entries)
        if (what !== 'same') await insertEntry(trx, { ...entry, by: actor.therapistId, now });
      await insertAudit(trx, {
        at: now,
        by: actor.therapistId,
        action: 'library file brought in',
        subject: 'library',
        detail: `${entries.filter(({ what }) => what !== 'same').length} entries`,
      });
    });
  }
  return {
    kind: 'saved',
    isStored,
    entries: entries.map(({ entry: { kind, document }, what, gaps }) => ({
      ...{ of: kind, id: document.id, name: document.name, what, gaps },
    })),
  };
}

/** Whether two documents say the same, whatever the order of their fields. */
function sameDocument(a: unknown, b: unknown): boolean {
  const plain = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(plain)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(
            Object.entries(value)
              .filter(([, one]) => one !== undefined)
              .sort(([x], [y]) => (x < y ? -1 : 1))
              .map(([key, one]) => [key, plain(one)]),
          )
        : value;
  return JSON.stringify(plain(a)) === JSON.stringify(plain(b));
}
