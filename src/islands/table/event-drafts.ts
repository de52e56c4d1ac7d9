import type { VisitId } from '../../core/ids';
import type { DraftStore } from '../saving/draft-store';
import type { EventStore, OwnEvent } from './event-store';

/**
 * Presses as drafts of a queue. They stay on the device after they were acknowledged: a reload without the network
 * needs them again.
 */
export function draftsOf(store: EventStore, visitId: VisitId): DraftStore<OwnEvent> {
  return {
    isLasting: store.kind !== 'memory',
    read: async () => {
      const events = await store.read(visitId);
      return events
        .filter(({ isAcknowledged }) => !isAcknowledged)
        .map((body) => ({ id: body.id, number: body.number, slot: 'event', body, basedOn: 0, isOneMore: true }));
    },
    put: (drafts) =>
      store.put(
        visitId,
        drafts.map(({ body }) => body),
      ),
    remove: (ids) => store.acknowledge(visitId, new Set(ids)),
  };
}
