import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { VisitAtWork } from '../../contracts/visit-views';
import { mergeEvents } from '../../core/table/events';
import type { TableEvent } from '../../core/table/table-event';
import { send } from '../api';
import { deliver } from '../saving/deliver';
import { saveQueue } from '../saving/save-queue';
import { useSending } from '../saving/use-saving';
import { deviceId, holdTable } from './device';
import { draftsOf } from './event-drafts';
import { type EventStore, memoryStore, openEventStore, type OwnEvent } from './event-store';

const followMs = 2000;

/** `leads` writes; `follows` another device, or another window of this one, and only looks on. */
export type Role = 'leads' | 'follows-device' | 'follows-window';

type Made = Omit<TableEvent, 'id' | 'at' | 'planVersion' | 'number'>;

/** Only the start of a list that goes out in one request. */
const mostAtOnce = 200;

/**
 * The events of a running treatment. Each press is numbered and kept on the device first, then sent; the house answers
 * for it or it is sent again. A device that does not lead asks every other second how things stand.
 */
export function useEvents(visit: VisitAtWork, planVersion: number) {
  const [events, setEvents] = useState<readonly TableEvent[]>(visit.events);
  const [role, setRole] = useState<Role>('leads');
  const [storeKind, setStoreKind] = useState<EventStore['kind']>();
  const own = useRef<readonly OwnEvent[]>([]);
  const store = useRef<EventStore>(memoryStore());
  const device = useRef('');
  const holds = useRef(0);
  const isHere = useRef(false);

  // What was pressed has its own number; the queue keeps the order in which it was pressed.
  const [queue] = useState(() =>
    saveQueue<OwnEvent, { readonly isAside: boolean }>({ mostAtOnce, makeId: ({ id }) => id }),
  );
  useLayoutEffect(() =>
    queue.serve({
      openStore: async () => {
        const opened = await openEventStore();
        const kept = await opened.read(visit.id).catch(() => []);
        const isFree = await holdTable(
          visit.id,
          false,
          () => isHere.current && holds.current === 0 && setRole('follows-window'),
        );
        store.current = opened;
        setStoreKind(opened.kind);
        own.current = mergeOwn(own.current, kept);
        device.current = deviceId();
        const isOthers = visit.lead !== null && visit.lead.deviceId !== device.current;
        setRole(isOthers ? 'follows-device' : isFree ? 'leads' : 'follows-window');
        setEvents((now) => mergeEvents(now, own.current));
        return draftsOf(opened, visit.id);
      },
      deliver: (drafts) => {
        const events = drafts.map(({ body: { isAcknowledged: _, ...event } }) => event);
        const body = { deviceId: device.current, events };
        return deliver(() => send('POST /api/visits/{id}/events', { params: { id: visit.id }, body }));
      },
      onSaved: (drafts, { isAside }) => {
        const ids = new Set(drafts.map(({ body }) => body.id));
        own.current = own.current.map((event) => (ids.has(event.id) ? { ...event, isAcknowledged: true } : event));
        if (isAside) setRole('follows-device');
      },
    }),
  );
  const keeping = useSending(queue, undefined);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
    };
  }, []);

  useEffect(() => {
    if (role === 'leads') return;
    let isFollowing = true;
    const look = () =>
      send('GET /api/visits/{id}/events', { params: { id: visit.id } }).then(
        // An answer that comes after taking over is older than what was pressed since.
        (now) => isFollowing && setEvents(now.events),
        () => undefined,
      );
    const following = setInterval(() => void look(), followMs);
    void look();
    return () => {
      isFollowing = false;
      clearInterval(following);
    };
  }, [visit.id, role]);

  const emit = useCallback(
    (...made: readonly Made[]) => {
      // Before the store is open nobody knows how far the treatment is.
      if (role !== 'leads' || device.current === '') return;
      const at = new Date().toISOString();
      const last = own.current.reduce((most, { number }) => Math.max(most, number), 0);
      const fresh = made.map((event, i): OwnEvent => ({
        ...event,
        ...{ id: crypto.randomUUID(), at, planVersion, number: last + 1 + i, isAcknowledged: false },
      }));
      own.current = [...own.current, ...fresh];
      setEvents((all) => [...all, ...fresh]);
      for (const event of fresh) queue.addOneMore('event', event);
    },
    [planVersion, queue, role],
  );

  /** Makes this device, and this window, the one that writes. @returns false when the house does not answer */
  const takeOver = useCallback(async (): Promise<boolean> => {
    try {
      const now = await send('POST /api/visits/{id}/lead', {
        params: { id: visit.id },
        body: { deviceId: device.current },
      });
      // Taking the lock from itself, too, tells the old holder that it is lost: only the newest hold counts.
      const hold = (holds.current += 1);
      await holdTable(visit.id, true, () => holds.current === hold && setRole('follows-window'));
      const kept = await store.current.read(visit.id).catch(() => []);
      own.current = mergeOwn(own.current, kept);
      setEvents(now.events);
      setRole('leads');
      return true;
    } catch {
      return false;
    }
  }, [visit.id]);

  return { events, emit, keeping, role, takeOver, storeKind };
}

/** Numbers go on after the highest that any window of this device has used. */
const mergeOwn = (mine: readonly OwnEvent[], kept: readonly OwnEvent[]): readonly OwnEvent[] => [
  ...mine,
  ...kept.filter(({ id }) => !mine.some((event) => event.id === id)),
];
