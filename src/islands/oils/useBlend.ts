import { oilsWords } from './oils.words';
import type { Millilitres } from '../../core/quantities';
import type { OilId } from '../../core/ids';
import { useReducer, useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import type { OilBenchView } from '../../contracts/oil-views';
import { makeBetter } from '../../core/oils/better';
import type { BestBlendCase } from '../../core/oils/best/blend-problem';
import type { BlendPart } from '../../core/oils/book';
import { checkBlend } from '../../core/oils/check';
import { makeSafe } from '../../core/oils/mend';
import { candidateOf, shortlist, targetPercentFor, usualNotes } from '../../core/oils/shortlist';
import { send, sentenceOf } from '../api';
import { changeDraft, clientOf, type DraftChange, firstDraft } from './blend-draft';
import { useOilWorker } from './useOilWorker';

/** Changes that make a blend another one. */
const composing: readonly DraftChange['kind'][] = ['drops', 'remove', 'parts'];

/** The blend on the bench with all that follows from it, and what can be done with it. */
export function useBlend(first: OilBenchView) {
  const [bench, setBench] = useState(first);
  const [draft, dispatch] = useReducer(changeDraft, first, firstDraft);
  const [said, setSaid] = useState('');
  const [isSearching, setIsSearching] = useState(false);
  const [pinned, setPinned] = useState<BlendInput>();
  const worker = useOilWorker();
  const { blend } = draft;
  const client = clientOf(bench);
  const given = { ...blend, client, basis: 'max' as const };
  const check = checkBlend(oilBook, given);
  const usable = bench.shelf.filter(({ freshness, leftMl }) => freshness !== 'old' && leftMl > 0);
  const isScented = bench.client?.unscentedWhy ? false : client.mostPercent !== 0;
  const mayCompose = isScented && bench.scope.mayBlend;
  const change = (next: DraftChange) => {
    if (composing.includes(next.kind) && !mayCompose)
      setSaid(isScented ? bench.scope.why : (bench.client?.unscentedWhy ?? oilsWords.unscentedOnly2));
    else dispatch(next);
  };
  const wish = (): BestBlendCase => {
    const listed = shortlist(oilBook, usable, {
      area: blend.area,
      client,
      uses: blend.uses,
      likes: bench.client?.likes ?? '',
      dislikes: bench.client?.dislikes ?? '',
    });
    return {
      ...{ volumeMl: blend.volumeMl, area: blend.area, client, candidates: listed, maxOils: 4 },
      wanted: blend.uses.map((use) => ({ use, weight: 1 })),
      notes: usualNotes,
      targetPercent: targetPercentFor(oilBook, client, blend.area),
    };
  };
  const better = () => {
    const own = blend.parts.map((part) => {
      const entry = usable.find(({ oil }) => oil === part.oil);
      const known = entry ? candidateOf(oilBook, entry) : { oil: part.oil, costPerDrop: 0, maxDrops: part.drops };
      return { ...known, maxDrops: Math.max(known.maxDrops, part.drops), dropsPerMl: part.dropsPerMl };
    });
    const others = wish().candidates.filter(({ oil }) => !blend.parts.some((part) => part.oil === oil));
    return makeBetter(oilBook, blend.parts, { ...wish(), candidates: [...own, ...others] });
  };
  const centsOf = (entries: OilBenchView['shelf'], oil: OilId, ml: Millilitres) =>
    ml * (entries.find((entry) => entry.oil === oil)?.centsPerMl ?? 0);
  const costCents =
    (check?.parts ?? []).reduce((sum, { oil, ml }) => sum + centsOf(bench.shelf, oil, ml), 0) +
    centsOf(bench.carriers, blend.carrier, check?.carrierMl ?? 0);
  const safe = mayCompose ? makeSafe(oilBook, given) : null;

  const takeParts = (parts: readonly BlendPart[]) => change({ kind: 'parts', parts: plainParts(parts) });
  const attempt = async (act: () => Promise<string>) => {
    try {
      setSaid(await act());
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const query = bench.visit ? { visit: bench.visit.id } : { client: bench.client?.id };
  const reload = async () => setBench(await send('GET /api/oils', { query }));

  return {
    ...{
      bench,
      draft,
      blend,
      client,
      check,
      safe,
      usable,
      isScented,
      mayCompose,
      costCents,
      said,
      isSearching,
      pinned,
      worker,
      wish,
    },
    better: mayCompose && blend.parts.length > 0 && !safe && blend.uses.length > 0 ? better() : null,
    ...{ change, setSaid, setPinned, takeParts, reload, attempt },
    makeItSafe: () => (safe || !mayCompose ? takeParts(safe?.parts ?? []) : setSaid(oilsWords.nothingToMendItIsInside)),
    makeItBetter: () => {
      if (!mayCompose) return change({ kind: 'parts', parts: [] });
      const next = blend.parts.length > 0 ? better() : null;
      if (next) takeParts(next.parts);
      setSaid(next ? next.words : oilsWords.noSingleDropWouldMakeIt);
    },
    /** The best blend for what is wanted, out of what the shelf has. */
    findBest: async () => {
      if (!mayCompose) return change({ kind: 'parts', parts: [] });
      setIsSearching(true);
      await attempt(async () => {
        const answer = await worker().best(wish());
        if (answer.kind === 'none') return answer.why.message;
        const perMl = new Map(usable.map(({ oil, dropsPerMl }) => [oil, dropsPerMl]));
        takeParts(answer.blend.parts.map((part) => ({ ...part, dropsPerMl: perMl.get(part.oil) ?? undefined })));
        const [binding] = answer.blend.binding;
        return `The best that the shelf has for it${binding ? oilsWords.heldBackBy(binding) : ''}.`;
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
        if (!bench.visit) return oilsWords.thereIsNoVisitToTake;
        await send('PUT /api/visits/{id}/blend', {
          params: { id: bench.visit.id },
          body: {
            ...{ area: blend.area === 'face' ? 'face' : 'body', blend, pouredFrom: null },
          },
        });
        await reload();
        return `${bench.client?.name.split(' ')[0] ?? oilsWords.theVisit} gets “${blend.name}”.`;
      }),
    startMixing: () =>
      attempt(async () => {
        const { id } = await send('POST /api/oils/mixes', {
          body: {
            ...{ blend, visitId: bench.visit?.id ?? null, clientId: bench.client?.id ?? null },
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
