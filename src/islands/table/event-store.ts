import type { VisitId } from '../../core/ids';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { TableEvent } from '../../core/table/table-event';
import { type Writer, writerOfPage } from '../saving/device-drafts';
import { open, openText, seal, sealText } from '../saving/sealing';
import { tableWords } from './table.words';

/** An event as a device keeps it: with its number, and whether the house has answered for it. */
export interface OwnEvent extends TableEvent {
  readonly number: number;
  readonly isAcknowledged: boolean;
}

/** Where a device keeps the presses of a treatment until the house has them, and after: a reload needs them again. */
export interface EventStore {
  readonly kind: 'database' | 'page-store' | 'memory';
  read(visitId: VisitId): Promise<readonly OwnEvent[]>;
  /** @throws when the device cannot keep them: its store is full, or refused */
  put(visitId: VisitId, events: readonly OwnEvent[]): Promise<void>;
  acknowledge(visitId: VisitId, ids: ReadonlySet<string>): Promise<void>;
  forget(visitId: VisitId): Promise<void>;
}

/** What stands on the device of a press: whose it is and in which visit; what it says only its writer can read. */
interface Row {
  readonly owner: string;
  readonly visitId: VisitId;
  readonly id: string;
  readonly isAcknowledged: boolean;
  readonly sealed: Uint8Array;
}

interface TableDatabase extends DBSchema {
  press: { key: [string, number, string]; value: Row; indexes: { visit: [string, number]; owner: string } };
}

const databaseName = 'velvet-stone-table';

const openDatabase = () =>
  openDB<TableDatabase>(databaseName, 2, {
    upgrade: (db) => {
      // Presses of an older form could be read by anybody with the device.
      for (const name of [...db.objectStoreNames]) db.deleteObjectStore(name);
      const store = db.createObjectStore('press', { keyPath: ['owner', 'visitId', 'id'] });
      store.createIndex('visit', ['owner', 'visitId']);
      store.createIndex('owner', 'owner');
    },
  });

/** The best that this browser allows: a database; else the page's store; else memory, as long as the page is open. */
export async function openEventStore(writer: Writer | undefined = writerOfPage()): Promise<EventStore> {
  if (!writer) return memoryStore();
  try {
    return databaseStore(await openDatabase(), writer);
  } catch {
    return pageStore(writer) ?? memoryStore();
  }
}

function databaseStore(db: IDBPDatabase<TableDatabase>, { owner, key }: Writer): EventStore {
  const rowOf = (visitId: VisitId, event: OwnEvent): Row => ({
    ...{ owner, visitId, id: event.id, isAcknowledged: event.isAcknowledged, sealed: seal(event, key) },
  });
  const eventOf = (row: Row): readonly OwnEvent[] => {
    const event = open<OwnEvent>(row.sealed, key);
    return event ? [{ ...event, isAcknowledged: row.isAcknowledged }] : [];
  };
  const change = async (visitId: VisitId, changed: (row: Row) => Row | null) => {
    const trx = db.transaction('press', 'readwrite');
    for await (const cursor of trx.store.index('visit').iterate([owner, visitId])) {
      const next = changed(cursor.value);
      if (!next) await cursor.delete();
      else if (next !== cursor.value) await cursor.update(next);
    }
    await trx.done;
  };
  return {
    kind: 'database',
    read: async (visitId) =>
      (await db.getAllFromIndex('press', 'visit', [owner, visitId]))
        .flatMap(eventOf)
        .sort((a, b) => a.number - b.number),
    put: async (visitId, events) => {
      // Written through to the disk, not only to the browser's memory, before it counts as kept.
      const trx = db.transaction('press', 'readwrite', { durability: 'strict' });
      await Promise.all(events.map((event) => trx.store.put(rowOf(visitId, event))));
      await trx.done;
    },
    acknowledge: (visitId, ids) =>
      change(visitId, (row) => (ids.has(row.id) && !row.isAcknowledged ? { ...row, isAcknowledged: true } : row)),
    forget: (visitId) => change(visitId, () => null),
  };
}

/** The visits of presses that the house still lacks of somebody, one for each press. */
export async function unsentPresses(owner: string): Promise<readonly VisitId[]> {
  const rows = await openDatabase().then(
    (db) => db.getAllFromIndex('press', 'owner', owner),
    () => [],
  );
  return rows.filter(({ isAcknowledged }) => !isAcknowledged).map(({ visitId }) => visitId);
}

/** Nothing of somebody's treatments stays on a device that they leave. */
export async function wipePresses(owner: string): Promise<void> {
  try {
    const trx = (await openDatabase()).transaction('press', 'readwrite');
    for await (const cursor of trx.store.index('owner').iterate(owner)) await cursor.delete();
    await trx.done;
  } catch {
    // A browser without a database has none to wipe.
  }
  try {
    for (const name of Object.keys(localStorage)) if (name.startsWith(pageNames(owner))) localStorage.removeItem(name);
  } catch {
    // Nor a page's store.
  }
}

const acknowledged = (event: OwnEvent): OwnEvent => ({ ...event, isAcknowledged: true });

const pageNames = (owner: string) => tableWords.table(owner);

/** @returns undefined where the browser refuses it too */
function pageStore({ owner, key }: Writer): EventStore | undefined {
  try {
    const { localStorage } = window;
    localStorage.setItem('velvet-stone-try', '1');
    localStorage.removeItem('velvet-stone-try');
    const nameOf = (visitId: VisitId) => `${pageNames(owner)}${visitId}`;
    return listStore('page-store', {
      get: (visitId) => openText(localStorage.getItem(nameOf(visitId)) ?? '', key) ?? [],
      set: (visitId, events) =>
        events.length === 0
          ? localStorage.removeItem(nameOf(visitId))
          : localStorage.setItem(nameOf(visitId), sealText(events, key)),
    });
  } catch {
    return undefined;
  }
}

export function memoryStore(): EventStore {
  const lists = new Map<number, readonly OwnEvent[]>();
  return listStore('memory', {
    get: (visitId) => lists.get(visitId) ?? [],
    set: (visitId, events) => void lists.set(visitId, events),
  });
}

interface Lists {
  readonly get: (visitId: VisitId) => readonly OwnEvent[];
  readonly set: (visitId: VisitId, events: readonly OwnEvent[]) => void;
}

/** A store that keeps a visit's events as one list; only written `async` so that all stores are used alike. */
function listStore(kind: EventStore['kind'], { get, set }: Lists): EventStore {
  return {
    kind,
    read: async (visitId) => get(visitId),
    put: async (visitId, events) => {
      const ids = new Set(events.map(({ id }) => id));
      set(visitId, [...get(visitId).filter(({ id }) => !ids.has(id)), ...events]);
    },
    acknowledge: async (visitId, ids) =>
      set(
        visitId,
        get(visitId).map((event) => (ids.has(event.id) ? acknowledged(event) : event)),
      ),
    forget: async (visitId) => set(visitId, []),
  };
}
