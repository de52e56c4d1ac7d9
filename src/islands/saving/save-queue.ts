import type { Problem } from '../../contracts/problem';
import { type Draft, type DraftStore, memoryDrafts } from './draft-store';
import { savingWords } from './saving.words';

/** What became of a delivery. */
export type Verdict<Answer> =
  | { readonly kind: 'saved'; readonly answer: Answer }
  /** Nobody answered, or asked to be left alone for a while: the same is tried again. */
  | { readonly kind: 'unreachable'; readonly afterMs?: number }
  /** Something else was saved in the meantime. */
  | { readonly kind: 'conflict'; readonly problem: Problem }
  /** It will never be taken as it is. */
  | { readonly kind: 'refused'; readonly problem: Problem };

export interface Refused<Body> {
  readonly draft: Draft<Body>;
  readonly problem: Problem;
}

/** How the answers of a view stand; each of them is saved, or to be seen in here. */
export interface SaveStatus<Body> {
  readonly kind: 'opening' | 'saved' | 'saving' | 'waiting' | 'refused' | 'conflict';
  /** Answers that the house has not acknowledged. */
  readonly open: number;
  /** What was saved meanwhile by somebody else; nothing more is sent until it is decided. */
  readonly conflict: Refused<Body> | undefined;
  /** What needs to be given in another way; the rest goes on. */
  readonly refused: readonly Refused<Body>[];
  /** Whether answers outlive the page. */
  readonly isOnDevice: boolean;
}

/** What a queue needs of its view; a view may hand over newer ones at any time. */
export interface SaveQueueHandlers<Body, Answer> {
  /** Sends drafts, the oldest first, in one request. What it throws is a fault of ours and refuses them. */
  readonly deliver: (drafts: readonly Draft<Body>[]) => Promise<Verdict<Answer>>;
  /** @param isLast nothing else waits */
  readonly onSaved?: (drafts: readonly Draft<Body>[], answer: Answer, isLast: boolean) => void;
  /**
   * In a conflict: the answer that the house would give if what is on record is just what the draft says, as after an
   * answer that got lost. @returns undefined where somebody else wrote it
   */
  readonly recognise?: (draft: Draft<Body>) => Promise<Answer | undefined>;
  /** Opened when the view begins. */
  readonly openStore?: () => Promise<DraftStore<Body>>;
}

export interface SaveQueueOptions<Body, Answer> extends Partial<SaveQueueHandlers<Body, Answer>> {
  /** The version on record after an answer; left out where nothing has versions. */
  readonly versionOf?: (answer: Answer) => number;
  /** The version on record when the view was made. */
  readonly version?: number;
  /** So many go out in one request. */
  readonly mostAtOnce?: number;
  readonly makeId?: (body: Body) => string;
}

const firstRetryMs = 1000;
const longestRetryMs = 30_000;

export interface SaveQueue<Body, Answer> {
  /** Hands over what the view does now. */
  readonly serve: (handlers: Partial<SaveQueueHandlers<Body, Answer>>) => void;
  /** Reads what an earlier page left behind, and begins to send. @returns those drafts, in their order */
  readonly begin: () => Promise<readonly Draft<Body>[]>;
  /**
   * Keeps an answer, and sends it after all that were given before; it takes the place of one of its slot that waits.
   * @param restMs what is being typed is kept at once, and sent when it has rested so long
   */
  readonly add: (slot: string, body: Body, restMs?: number) => Draft<Body>;
  /** The same, beside what waits in its slot. */
  readonly addOneMore: (slot: string, body: Body) => Draft<Body>;
  /** The same for a form that shows itself what is wrong: what is refused is answered, and not kept here. */
  readonly submit: (slot: string, body: Body) => Promise<Verdict<Answer>>;
  /** Waits until nothing is on its way; what nobody answered for is tried at once. @returns whether all is saved */
  readonly settle: () => Promise<boolean>;
  /** Tries again at once. */
  readonly retry: () => void;
  /** In a conflict: what was written here counts, on top of the version that is on record now. */
  readonly overwrite: (version: number) => void;
  /** In a conflict: what was written here is given up. @returns what is given up */
  readonly yieldTo: (version: number) => readonly Draft<Body>[];
  /** Changes what still waits, such as the number of something that has one only now. */
  readonly rewrite: (change: (body: Body, draft: Draft<Body>) => Body) => void;
  /** Gives up what was refused. */
  readonly discard: (id: string) => void;
  readonly status: () => SaveStatus<Body>;
  readonly version: () => number;
  readonly subscribe: (listener: () => void) => () => void;
  /** The page goes: nothing is sent any more, drafts stay on the device. */
  readonly end: () => void;
}

/** A fault of the page itself: what was written stays to be seen. */
const faulty = (error: unknown): Verdict<never> => ({
  kind: 'refused',
  problem: {
    type: '/problems/page',
    title: savingWords.thePageCouldNotSendThis,
    status: 0,
    ...(error instanceof Error && { detail: error.message }),
  },
});

/**
 * The way of answers to the house: shown at once, kept on the device, sent in the order in which they were given, one
 * request at a time, until the house has acknowledged each of them. Laws in `save-queue.test.ts`.
 */
export function saveQueue<Body, Answer>(options: SaveQueueOptions<Body, Answer>): SaveQueue<Body, Answer> {
  const { versionOf, mostAtOnce = 1, makeId = () => crypto.randomUUID() } = options;
  let handlers: Partial<SaveQueueHandlers<Body, Answer>> = options;
  const deliver = (drafts: readonly Draft<Body>[]) =>
    handlers.deliver?.(drafts) ?? Promise.reject(new Error('nothing says how to send this'));
  let store: DraftStore<Body> = memoryDrafts();
  let isOpened = false;
  let isEnded = false;
  let isSending = false;
  let isOnDevice = false;
  let tries = 0;
  /** Until when somebody is taken to be typing still. */
  let heldUntil = 0;
  let retrying: ReturnType<typeof setTimeout> | undefined;
  /** After a refused batch its drafts go one by one, so that the one which is wrong is known. */
  let singly = 0;
  let version = options.version ?? 0;
  let highest = 0;
  let open: readonly Draft<Body>[] = [];
  /** Answers of this page, saved or replaced ones, too: what else the store holds is of an earlier page. */
  const own = new Set<string>();
  let inFlight: ReadonlySet<string> = new Set();
  let conflict: Refused<Body> | undefined;
  let refused: readonly Refused<Body>[] = [];
  const submitted = new Map<string, (verdict: Verdict<Answer>) => void>();
  const written = new Map<string, Promise<void>>();
  const listeners = new Set<() => void>();
  let seen: SaveStatus<Body> = statusNow();

  function statusNow(): SaveStatus<Body> {
    const kind =
      !isOpened && open.length === 0
        ? 'opening'
        : conflict
          ? 'conflict'
          : tries > 0 && open.length > 0
            ? 'waiting'
            : open.length > 0
              ? 'saving'
              : refused.length > 0
                ? 'refused'
                : 'saved';
    return { kind, open: open.length, conflict, refused, isOnDevice };
  }
  const tell = () => {
    seen = statusNow();
    for (const listener of listeners) listener();
  };
  const put = (drafts: readonly Draft<Body>[]): Promise<void> =>
    store.put(drafts).catch(() => {
      // A device that is full still sends what it can; the view says that a reload would lose it.
      isOnDevice = false;
      tell();
    });
  const forget = (drafts: readonly Draft<Body>[]) =>
    void store.remove(drafts.map(({ id }) => id)).catch(() => undefined);

  function enter(slot: string, body: Body, isOneMore: boolean, restMs = 0): Draft<Body> {
    const draft = { id: makeId(body), number: (highest += 1), slot, body, basedOn: version, isOneMore };
    const isReplaced = (one: Draft<Body>) => !isOneMore && one.slot === slot && !inFlight.has(one.id);
    const replaced = [...open.filter(isReplaced), ...refused.map((one) => one.draft).filter(isReplaced)];
    // What stands in a conflict is decided by a person; newer words of the same slot are part of what they decide about.
    const based = replaced.find(({ basedOn }) => basedOn !== 0)?.basedOn;
    const entered = based === undefined ? draft : { ...draft, basedOn: based };
    own.add(entered.id);
    open = [...open.filter((one) => !isReplaced(one)), entered];
    refused = refused.filter((one) => !isReplaced(one.draft));
    if (conflict && isReplaced(conflict.draft)) conflict = { ...conflict, draft: entered };
    for (const one of replaced) answerSubmitted(one, { kind: 'unreachable' });
    // The new one is on the device before the old one is gone from it.
    written.set(
      entered.id,
      put([entered]).then(() => {
        written.delete(entered.id);
        if (replaced.length > 0) forget(replaced);
      }),
    );
    heldUntil = restMs > 0 ? Date.now() + restMs : 0;
    tell();
    void pump();
    return entered;
  }

  function answerSubmitted(draft: Draft<Body>, verdict: Verdict<Answer>): void {
    submitted.get(draft.id)?.(verdict);
    submitted.delete(draft.id);
  }

  async function pump(): Promise<void> {
    if (isSending || !isOpened || isEnded) return;
    clearTimeout(retrying);
    if (heldUntil > Date.now()) {
      retrying = setTimeout(() => void pump(), heldUntil - Date.now());
      return;
    }
    isSending = true;
    // What is given in one breath goes together.
    await Promise.resolve();
    while (open.length > 0 && !conflict && !isEnded) {
      const batch = open.slice(0, singly > 0 ? 1 : mostAtOnce);
      inFlight = new Set(batch.map(({ id }) => id));
      await Promise.all(batch.map(({ id }) => written.get(id)));
      tell();
      const verdict = await recognised(batch, await deliver(batch).catch(faulty));
      inFlight = new Set();
      if (isEnded) break;
      if (!take(batch, verdict)) break;
    }
    isSending = false;
    tell();
  }

  async function recognised(batch: readonly Draft<Body>[], verdict: Verdict<Answer>): Promise<Verdict<Answer>> {
    const [draft] = batch;
    if (verdict.kind !== 'conflict' || !handlers.recognise || !draft) return verdict;
    const answer = await handlers.recognise(draft).catch(() => undefined);
    return answer === undefined ? verdict : { kind: 'saved', answer };
  }

  /** @returns whether the next may go out */
  function take(batch: readonly Draft<Body>[], verdict: Verdict<Answer>): boolean {
    const isInBatch = ({ id }: Draft<Body>) => batch.some((one) => one.id === id);
    switch (verdict.kind) {
      case 'saved': {
        tries = 0;
        singly = Math.max(0, singly - 1);
        open = open.filter((one) => !isInBatch(one));
        rebase(batch, versionOf?.(verdict.answer));
        forget(batch);
        for (const draft of batch) answerSubmitted(draft, verdict);
        handlers.onSaved?.(batch, verdict.answer, open.length === 0);
        return true;
      }
      case 'unreachable': {
        const waitMs = verdict.afterMs ?? Math.min(longestRetryMs, firstRetryMs * 2 ** tries);
        tries += 1;
        retrying = setTimeout(() => void pump(), waitMs);
        return false;
      }
      case 'conflict':
        tries = 0;
        if (batch.some(({ id }) => submitted.has(id))) return giveBack(batch, verdict);
        conflict = { draft: newestOf(batch[0] as Draft<Body>), problem: verdict.problem };
        return false;
      case 'refused':
        tries = 0;
        if (batch.length > 1) {
          singly = batch.length;
          return true;
        }
        singly = Math.max(0, singly - 1);
        if (batch.some(({ id }) => submitted.has(id))) return giveBack(batch, verdict);
        open = open.filter((one) => !isInBatch(one));
        refused = [...refused, ...batch.map((draft) => ({ draft, problem: verdict.problem }))];
        return true;
    }
  }

  /** The form that has sent it says what is wrong, and still shows what was filled in. */
  function giveBack(batch: readonly Draft<Body>[], verdict: Verdict<Answer>): boolean {
    open = open.filter(({ id }) => !batch.some((one) => one.id === id));
    forget(batch);
    for (const draft of batch) answerSubmitted(draft, verdict);
    return true;
  }

  /** Words that were written while these were under way take their place in what is to be decided. */
  function newestOf(draft: Draft<Body>): Draft<Body> {
    const later = open.findLast(({ slot, isOneMore }) => slot === draft.slot && !isOneMore);
    if (!later || later.id === draft.id) return draft;
    const newest = { ...later, basedOn: draft.basedOn };
    open = open.filter(({ id }) => id !== later.id).map((one) => (one.id === draft.id ? newest : one));
    void put([newest]).then(() => forget([draft]));
    return newest;
  }

  /** What was written while this was on its way was written over it, not over what stood there before. */
  function rebase(batch: readonly Draft<Body>[], next: number | undefined): void {
    if (next === undefined) return;
    const bases = new Set(batch.map(({ basedOn }) => basedOn));
    const moved = (one: Draft<Body>) => (bases.has(one.basedOn) ? { ...one, basedOn: next } : one);
    const before = open;
    open = open.map(moved);
    refused = refused.map((one) => ({ ...one, draft: moved(one.draft) }));
    version = next;
    const changed = open.filter((one, i) => one !== before[i]);
    if (changed.length > 0) void put(changed);
  }

  const retry = () => {
    heldUntil = 0;
    void pump();
  };

  const settle = async (): Promise<boolean> => {
    retry();
    await new Promise<void>((resolve) => {
      const look = () => {
        if (isSending || !isOpened) return;
        listeners.delete(look);
        resolve();
      };
      listeners.add(look);
      look();
    });
    return open.length === 0 && refused.length === 0 && conflict === undefined;
  };

  return {
    serve: (next) => {
      handlers = { ...handlers, ...next };
    },
    begin: async () => {
      isEnded = false;
      store = (await handlers.openStore?.()) ?? store;
      isOnDevice = store.isLasting;
      const left = (await store.read().catch(() => [])).filter(({ id }) => !own.has(id));
      // Answers that were given before the store was open are the newest.
      highest += left.reduce((most, { number }) => Math.max(most, number), 0);
      const early = open.map((one) => ({ ...one, number: (highest += 1) }));
      open = [...left, ...early];
      if (early.length > 0) await put(early);
      isOpened = true;
      tell();
      void pump();
      return left;
    },
    add: (slot, body, restMs) => enter(slot, body, false, restMs),
    addOneMore: (slot, body) => enter(slot, body, true),
    submit: (slot, body) =>
      new Promise((resolve) => {
        const draft = enter(slot, body, true);
        submitted.set(draft.id, resolve);
      }),
    settle,
    retry,
    overwrite: (now) => {
      if (!conflict) return;
      const { basedOn } = conflict.draft;
      conflict = undefined;
      version = now;
      open = open.map((one) => (one.basedOn === basedOn ? { ...one, basedOn: now } : one));
      void put(open).then(retry);
      tell();
    },
    yieldTo: (now) => {
      if (!conflict) return [];
      const { slot } = conflict.draft;
      const given = open.filter((one) => one.slot === slot);
      conflict = undefined;
      version = now;
      open = open.filter((one) => one.slot !== slot);
      forget(given);
      tell();
      retry();
      return given;
    },
    rewrite: (change) => {
      const before = open;
      open = open.map((one) => {
        const body = inFlight.has(one.id) ? one.body : change(one.body, one);
        return body === one.body ? one : { ...one, body };
      });
      const changed = open.filter((one, i) => one !== before[i]);
      if (changed.length > 0) void put(changed);
    },
    discard: (id) => {
      forget(refused.map(({ draft }) => draft).filter((one) => one.id === id));
      refused = refused.filter(({ draft }) => draft.id !== id);
      tell();
    },
    status: () => seen,
    version: () => version,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    end: () => {
      isEnded = true;
      clearTimeout(retrying);
    },
  };
}
