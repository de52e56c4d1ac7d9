import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { type DraftStore, memoryDrafts } from './draft-store';
import type { Draft } from './draft-store';
import { type Key, open, seal } from './sealing';

/** What stands on the device of a draft: whose it is and where it belongs; what it says only its writer can read. */
interface Row {
  readonly owner: string;
  readonly queue: string;
  readonly id: string;
  readonly number: number;
  /** Address of the view that it was written in. */
  readonly where: string;
  readonly sealed: Uint8Array;
}

interface DraftDatabase extends DBSchema {
  draft: { key: [string, string, string]; value: Row; indexes: { queue: [string, string]; owner: string } };
}

const databaseName = 'velvet-stone-drafts';

const openDatabase = (): Promise<IDBPDatabase<DraftDatabase>> =>
  openDB<DraftDatabase>(databaseName, 1, {
    upgrade: (db) => {
      const store = db.createObjectStore('draft', { keyPath: ['owner', 'queue', 'id'] });
      store.createIndex('queue', ['owner', 'queue']);
      store.createIndex('owner', 'owner');
    },
  });

/** Whose drafts these are, and the key that the house gives to nobody else. */
export interface Writer {
  readonly owner: string;
  readonly key: Key;
}

/** The writer that the page was made for; undefined where nobody is signed in. */
export function writerOfPage(): Writer | undefined {
  if (typeof document === 'undefined') return undefined;
  const content = document.querySelector<HTMLMetaElement>('meta[name="draft-key"]')?.content;
  const [owner, key] = content?.split(' ') ?? [];
  if (owner === undefined || key === undefined) return undefined;
  return { owner, key: Uint8Array.from(atob(key), (letter) => letter.charCodeAt(0)) };
}

/**
 * The drafts of one queue on this device, readable to their writer only.
 * @param queue what the answers are about, such as “visit 12 closing”
 * @returns a store in memory where the browser keeps nothing, or nobody is known to keep it for
 */
export async function deviceDrafts<Body>(
  queue: string,
  writer: Writer | undefined = writerOfPage(),
): Promise<DraftStore<Body>> {
  if (!writer) return memoryDrafts();
  const { owner, key } = writer;
  const where = window.location.pathname;
  let db: IDBPDatabase<DraftDatabase>;
  try {
    db = await openDatabase();
  } catch {
    return memoryDrafts();
  }
  return {
    isLasting: true,
    read: async () => {
      const rows = await db.getAllFromIndex('draft', 'queue', [owner, queue]);
      return rows.flatMap((row) => open<Draft<Body>>(row.sealed, key) ?? []).sort((a, b) => a.number - b.number);
    },
    put: async (drafts) => {
      const trx = db.transaction('draft', 'readwrite', { durability: 'strict' });
      await Promise.all(
        drafts.map((draft) =>
          trx.store.put({ owner, queue, id: draft.id, number: draft.number, where, sealed: seal(draft, key) }),
        ),
      );
      await trx.done;
    },
    remove: async (ids) => {
      const trx = db.transaction('draft', 'readwrite');
      await Promise.all(ids.map((id) => trx.store.delete([owner, queue, id])));
      await trx.done;
    },
  };
}

/** Answers that an earlier view could not send. */
export interface LeftOver<Body> {
  readonly queue: string;
  readonly where: string;
  readonly draft: Draft<Body>;
}

/** What of a writer still waits on this device, in whatever view; queue by queue, in the order of writing. */
export async function leftOver<Body>(writer: Writer): Promise<readonly LeftOver<Body>[]> {
  try {
    const rows = await (await openDatabase()).getAllFromIndex('draft', 'owner', writer.owner);
    return rows
      .sort((a, b) => (a.queue === b.queue ? a.number - b.number : a.queue < b.queue ? -1 : 1))
      .flatMap(({ queue, where, sealed }) => {
        const draft = open<Draft<Body>>(sealed, writer.key);
        return draft ? [{ queue, where, draft }] : [];
      });
  } catch {
    return [];
  }
}

/** The house has it. */
export async function forgetDraft(writer: Writer, queue: string, id: string): Promise<void> {
  await (await openDatabase()).delete('draft', [writer.owner, queue, id]);
}

/** How many answers of a writer still wait on this device, in whatever view. */
export async function countDrafts(writer: Writer): Promise<number> {
  return openDatabase().then(
    (db) => db.countFromIndex('draft', 'owner', writer.owner),
    () => 0,
  );
}

/** Nothing that a writer has not sent stays on a device that they leave. */
export async function wipeDrafts(writer: Writer): Promise<void> {
  try {
    const trx = (await openDatabase()).transaction('draft', 'readwrite');
    for await (const cursor of trx.store.index('owner').iterate(writer.owner)) await cursor.delete();
    await trx.done;
  } catch {
    // A browser that keeps nothing has nothing to wipe.
  }
}
