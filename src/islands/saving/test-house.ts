import type { Problem } from '../../contracts/problem';
import { type Draft, type DraftStore, memoryDrafts } from './draft-store';
import { saveQueue, type SaveQueueOptions, type Verdict } from './save-queue';

/** A house, and a device, for tests of the way between. */

const problem = (status: number): Problem => ({ type: '/problems/any', title: 'any', status });
export const unreachable = { kind: 'unreachable' } as const;
export const conflict = { kind: 'conflict', problem: problem(409) } as const;
export const refused = { kind: 'refused', problem: problem(400) } as const;

export type Answer = { readonly version: number };
export type Way = (draft: Draft<string>) => Verdict<Answer> | 'lost-answer' | undefined;

/** A house that stores what reaches it, once; `way` says what happens to a draft on its way there. */
export function house(way: Way = () => undefined) {
  const stored: string[] = [];
  const known = new Map<string, Answer>();
  let version = 0;
  let way_ = way;
  let atOnce = 0;
  let mostAtOnce = 0;
  const store = (draft: Draft<string>): Answer => {
    const before = known.get(draft.id);
    if (before) return before;
    stored.push(draft.body);
    version += 1;
    const answer = { version };
    known.set(draft.id, answer);
    return answer;
  };
  return {
    stored,
    known,
    deliver: async (drafts: readonly Draft<string>[]): Promise<Verdict<Answer>> => {
      atOnce += 1;
      mostAtOnce = Math.max(mostAtOnce, atOnce);
      await new Promise((resolve) => setTimeout(resolve, 5));
      atOnce -= 1;
      const [first] = drafts;
      if (!first) throw new Error('nothing was sent');
      const happens = drafts.map(way_).find((one) => one !== undefined);
      if (happens === 'lost-answer') {
        drafts.map(store);
        return unreachable;
      }
      if (happens) return happens;
      if (!known.has(first.id) && first.basedOn !== version) return conflict;
      return { kind: 'saved', answer: drafts.map(store).at(-1) as Answer };
    },
    /** Somebody else saves. */
    edit: () => (version += 1),
    version: () => version,
    become: (next: Way) => (way_ = next),
    mostAtOnce: () => mostAtOnce,
  };
}

let made = 0;
export function queueTo(to: ReturnType<typeof house>, more: Partial<SaveQueueOptions<string, Answer>> = {}) {
  return saveQueue<string, Answer>({
    deliver: to.deliver,
    versionOf: ({ version }) => version,
    version: to.version(),
    makeId: () => `id-${(made += 1)}`,
    ...more,
  });
}

/** A device: what is kept on it outlives every page. */
export const device = (): DraftStore<string> => ({ ...memoryDrafts<string>(), isLasting: true });
