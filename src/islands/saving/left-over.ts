import { forgetDraft, leftOver, type LeftOver, type Writer } from './device-drafts';
import { type Sending, sendDraft } from './sending';

const shown = new Map<string, number>();

/** A view of this page sends the queue of that name itself. @returns ends that */
export function showQueue(name: string): () => void {
  shown.set(name, (shown.get(name) ?? 0) + 1);
  return () => {
    const rest = (shown.get(name) ?? 1) - 1;
    if (rest > 0) shown.set(name, rest);
    else shown.delete(name);
  };
}

/**
 * Sends what earlier views have left on this device. Each queue stops at the first that is not taken: what comes after
 * it was written on top of it.
 * What a view of this page sends itself is left to it.
 * @returns what is left all the same
 */
export async function sendLeftOver(writer: Writer): Promise<readonly LeftOver<Sending>[]> {
  const stopped = new Set<string>();
  const left: LeftOver<Sending>[] = [];
  for (const one of await leftOver<Sending>(writer)) {
    if (shown.has(one.queue)) continue;
    if (!stopped.has(one.queue)) {
      const { kind } = await sendDraft(one.draft).catch(() => ({ kind: 'refused' as const }));
      if (kind === 'saved') {
        await forgetDraft(writer, one.queue, one.draft.id);
        continue;
      }
      stopped.add(one.queue);
    }
    left.push(one);
  }
  return left;
}
