import { oilsWords } from './oils.words';
import { useReducer, useState } from 'react';
import type { BlendInput } from '../../contracts/oil-house';
import type { OilBenchView } from '../../contracts/oil-views';
import type { BlendPart } from '../../core/oils/book';
import { send, sentenceOf } from '../api';
import { changeDraft, type DraftChange, firstDraft } from './blend-draft';
import { oilBook } from '../../catalogue/oils/oils';
import { makeSafe, type Mended } from '../../core/oils/mend';
import { betterThan, caseOf, followingFrom, wishFrom } from './blend-selectors';
import { useOilWorker } from './useOilWorker';

/** Changes that make a blend another one. */
const composing: readonly DraftChange['kind'][] = ['drops', 'remove', 'parts'];

/** The blend on the bench with all that follows from it, and what can be done with it. */
export function useBlend(first: OilBenchView) {
  const [view, setView] = useState(first);
  const [draft, dispatch] = useReducer(changeDraft, first, firstDraft);
  const [said, setSaid] = useState('');
  const [isSearching, setIsSearching] = useState(false);
  const [pinned, setPinned] = useState<BlendInput>();
  const worker = useOilWorker();
  const { blend } = draft;
  const following = followingFrom(view, blend);
  const { safe, mayCompose, isScented, usable } = following;
  const change = (next: DraftChange) => {
    if (composing.includes(next.kind) && !mayCompose)
      setSaid(isScented ? view.scope.why : (view.client?.unscentedWhy ?? oilsWords.unscentedOnly2));
    else {
      // What was said is of the blend before.
      if (next.kind !== 'select') setSaid('');
      dispatch(next);
    }
  };
  const takeParts = (parts: readonly BlendPart[]) => change({ kind: 'parts', parts: plainParts(parts) });
  /** Parts, and more medium where they ask for it. */
  const takeMended = ({ parts, volumeMl }: Pick<Mended, 'parts' | 'volumeMl'>) => {
    if (volumeMl !== undefined) change({ kind: 'volume', volumeMl, isScaled: false });
    takeParts(parts);
  };
  const attempt = async (act: () => Promise<string>) => {
    try {
      setSaid(await act());
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const query = view.visit ? { visit: view.visit.id } : { client: view.client?.id };
  const reload = async () => setView(await send('GET /api/oils', { query }));

  return {
    /** What the house has and whom it is for, as the server gave it. */
    view,
    draft,
    blend,
    /** What follows from both: see `followingFrom`. */
    ...following,
    said,
    isSearching,
    pinned,
    worker,
    wish: () => wishFrom(view, blend),
    ...{ change, setSaid, setPinned, takeParts, reload, attempt },
    makeItSafe: () =>
      safe || !mayCompose ? takeMended(safe ?? { parts: [] }) : setSaid(oilsWords.nothingToMendItIsInside),
    makeItBetter: () => {
      if (!mayCompose) return change({ kind: 'parts', parts: [] });
      const next = blend.parts.length > 0 ? betterThan(view, blend) : null;
      if (next) takeParts(next.parts);
      setSaid(next ? next.words : oilsWords.noSingleDropWouldMakeIt);
    },
    /** The best blend for what is wanted, out of what the shelf has. */
    findBest: async () => {
      if (!mayCompose) return change({ kind: 'parts', parts: [] });
      setIsSearching(true);
      await attempt(async () => {
        const answer = await worker().best(wishFrom(view, blend));
        if (answer.kind === 'none') return answer.why.message;
        const perMl = new Map(usable.map(({ oil, dropsPerMl }) => [oil, dropsPerMl]));
        const found = answer.blend.parts.map((part) => ({ ...part, dropsPerMl: perMl.get(part.oil) ?? undefined }));
        // The search does not know what drops onto the same skin.
        takeMended(makeSafe(oilBook, { ...caseOf(view, blend), parts: found }) ?? { parts: found });
        const [binding] = answer.blend.binding;
        return oilsWords.theBestThatTheShelfHas(binding ? oilsWords.heldBackBy(binding) : '');
      });
      setIsSearching(false);
    },
    keepForHouse: (name: string) =>
      attempt(async () => {
        await send('POST /api/oils/blends', { body: { ...blend, name } });
        change({ kind: 'name', name });
        await reload();
        return oilsWords.isKeptAsABlendOf(name);
      }),
    takeIntoVisit: () =>
      attempt(async () => {
        if (!view.visit) return oilsWords.thereIsNoVisitToTake;
        await send('PUT /api/visits/{id}/blend', {
          params: { id: view.visit.id },
          body: {
            ...{ area: blend.area === 'face' ? 'face' : 'body', blend, pouredFrom: null },
          },
        });
        await reload();
        return oilsWords.gets(view.client?.name.split(' ')[0] ?? oilsWords.theVisit, blend.name);
      }),
    startMixing: () =>
      attempt(async () => {
        const { id } = await send('POST /api/oils/mixes', {
          body: {
            ...{ blend, visitId: view.visit?.id ?? null, clientId: view.client?.id ?? null },
          },
        });
        window.location.assign(`/bench/mixes/${id}`);
        return oilsWords.theMixingCardOpens;
      }),
  };
}
export type Bench = ReturnType<typeof useBlend>;

/** Parts as they are stored: without what is not known. */
const plainParts = (parts: readonly BlendPart[]) =>
  parts.map(({ oil, drops, dropsPerMl }) => ({ oil, drops, ...(dropsPerMl ? { dropsPerMl } : {}) }));
