import type { VisitId } from '../../core/ids';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { TableEvent } from '../../core/table/table-event';

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

interface TableDatabase extends DBSchema {
  event: { key: [number, string]; value: OwnEvent & { readonly visitId: VisitId }; indexes: { visit: number } };
}

const databaseName = 'velvet-stone-table';

/** The best that this browser allows: a database; else the page's store; else memory, as long as the page is open. */
export async function openEventStore(): Promise<EventStore> {
  try {
    return databaseStore(
      await openDB<TableDatabase>(databaseName, 1, {
        upgrade: (db) => db.createObjectStore('event', { keyPath: ['visitId', 'id'] }).createIndex('visit', 'visitId'),
      }),
    );
  } catch {
    return pageStore() ?? memoryStore();
  }
}

function databaseStore(db: IDBPDatabase<TableDatabase>): EventStore {
  const change = async (visitId: VisitId, changed: (event: OwnEvent) => OwnEvent | null) => {
    const trx = db.transaction('event', 'readwrite');
    for await (const cursor of trx.store.index('visit').iterate(visitId)) {
      const next = changed(cursor.value);
      if (!next) await cursor.delete();
      else if (next !== cursor.value) await cursor.update({ ...next, visitId });
    }
    await trx.done;
  };
  return {
    kind: 'database',
    read: async (visitId) =>
      (await db.getAllFromIndex('event', 'visit', visitId)).sort((a, b) => a.number - b.number).map(withoutVisit),
    put: async (visitId, events) => {
      // Written through to the disk, not only to the browser's memory, before it counts as kept.
      const trx = db.transaction('event', 'readwrite', { durability: 'strict' });
      await Promise.all(events.map((event) => trx.store.put({ ...event, visitId })));
      await trx.done;
    },
    acknowledge: (visitId, ids) =>
      change(visitId, (event) => (ids.has(event.id) && !event.isAcknowledged ? acknowledged(event) : event)),
    forget: (visitId) => change(visitId, () => null),
  };
}

const withoutVisit = ({ visitId: _, ...event }: OwnEvent & { readonly visitId: VisitId }): OwnEvent => event;
const acknowledged = (event: OwnEvent): OwnEvent => ({ ...event, isAcknowledged: true });

/** @returns undefined where the browser refuses it too */
function pageStore(): EventStore | undefined {
  try {
    const { localStorage } = window;
    localStorage.setItem('velvet-stone-try', '1');
    localStorage.removeItem('velvet-stone-try');
    return listStore('page-store', {
      get: (visitId) => JSON.parse(localStorage.getItem(`table-${visitId}`) ?? '[]') as readonly OwnEvent[],
      set: (visitId, events) =>
        events.length === 0
          ? localStorage.removeItem(`table-${visitId}`)
          : localStorage.setItem(`table-${visitId}`, JSON.stringify(events)),
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
