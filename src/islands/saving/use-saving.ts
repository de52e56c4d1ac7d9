import { useEffect, useLayoutEffect, useRef, useState, useSyncExternalStore } from 'react';
import { deviceDrafts } from './device-drafts';
import type { Draft } from './draft-store';
import { showQueue } from './left-over';
import { saveQueue, type SaveQueue, type SaveQueueOptions, type SaveStatus } from './save-queue';
import { type Sending, sendDraft } from './sending';

type Options<Shown, Answer> = Pick<
  SaveQueueOptions<Sending<Shown>, Answer>,
  'onSaved' | 'recognise' | 'versionOf' | 'version'
> & {
  /** What an earlier page has left behind; it is sent without more ado. */
  readonly onLeft?: (drafts: readonly Draft<Sending<Shown>>[]) => void;
};

export interface Saving<Shown, Answer> {
  readonly queue: SaveQueue<Sending<Shown>, Answer>;
  readonly status: SaveStatus<Sending<Shown>>;
}

/**
 * The answers of a view on their way to the house.
 * @param name what they are about, such as “visit 12 closing”: an earlier page of that name hands over what it left
 */
export function useSaving<Shown = unknown, Answer = unknown>(
  name: string,
  options: Options<Shown, Answer> = {},
): Saving<Shown, Answer> {
  const { onLeft, onSaved, recognise, versionOf, version } = options;
  const [queue] = useState(() =>
    saveQueue<Sending<Shown>, Answer>({
      openStore: () => deviceDrafts(name),
      deliver: ([draft]) => sendDraft(draft as Draft<Sending>),
      ...(versionOf && { versionOf }),
      ...(version !== undefined && { version }),
    }),
  );
  useEffect(() => showQueue(name), [name]);
  useLayoutEffect(() => queue.serve({ ...(onSaved && { onSaved }), ...(recognise && { recognise }) }));
  const status = useSending(queue, onLeft);
  return { queue, status };
}

/** Begins and ends a queue with its view. */
export function useSending<Body, Answer>(
  queue: SaveQueue<Body, Answer>,
  onLeft: ((drafts: readonly Draft<Body>[]) => void) | undefined,
): SaveStatus<Body> {
  const latest = useRef(onLeft);
  useLayoutEffect(() => {
    latest.current = onLeft;
  });
  useEffect(() => {
    void queue.begin().then((left) => left.length > 0 && latest.current?.(left));
    const again = () => queue.retry();
    // Whoever leaves while answers would be lost with the page is asked first.
    const leave = (event: BeforeUnloadEvent) => {
      const { open, isOnDevice } = queue.status();
      if (open > 0 && !isOnDevice) event.preventDefault();
    };
    window.addEventListener('online', again);
    window.addEventListener('beforeunload', leave);
    return () => {
      queue.end();
      window.removeEventListener('online', again);
      window.removeEventListener('beforeunload', leave);
    };
  }, [queue]);
  return useSyncExternalStore(queue.subscribe, queue.status, queue.status);
}
