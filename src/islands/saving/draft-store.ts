/** One answer on its way to the house. */
export interface Draft<Body> {
  /** Known to the house, too: the same draft that arrives twice is stored once. */
  readonly id: string;
  /** Its place in the order in which answers were given. */
  readonly number: number;
  /** What it is about. */
  readonly slot: string;
  readonly body: Body;
  /** The version on record that it was written over; 0 where nothing has versions. */
  readonly basedOn: number;
  /** It stands beside others of its slot, instead of in their place. */
  readonly isOneMore: boolean;
}

/** Where a device keeps answers until the house has acknowledged them. */
export interface DraftStore<Body> {
  /** Whether it outlives the page. */
  readonly isLasting: boolean;
  readonly read: () => Promise<readonly Draft<Body>[]>;
  /** Writes drafts, each over itself. @throws when the device has no room */
  readonly put: (drafts: readonly Draft<Body>[]) => Promise<void>;
  readonly remove: (ids: readonly string[]) => Promise<void>;
}

/** As long as the page is open. */
export function memoryDrafts<Body>(): DraftStore<Body> {
  const drafts = new Map<string, Draft<Body>>();
  return {
    isLasting: false,
    read: () => Promise.resolve([...drafts.values()].sort((a, b) => a.number - b.number)),
    put: (list) => {
      for (const draft of list) drafts.set(draft.id, draft);
      return Promise.resolve();
    },
    remove: (ids) => {
      for (const id of ids) drafts.delete(id);
      return Promise.resolve();
    },
  };
}
