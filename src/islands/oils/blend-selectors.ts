import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import type { OilBenchView } from '../../contracts/oil-views';
import type { OilId } from '../../core/ids';
import { makeBetter } from '../../core/oils/better';
import type { BestBlendCase } from '../../core/oils/best/blend-problem';
import type { BlendCase } from '../../core/oils/blend-case';
import { checkBlend } from '../../core/oils/check';
import { besideBlend } from '../../core/oils/layers';
import { makeSafe } from '../../core/oils/mend';
import { candidateOf, shortlist, targetPercentFor, usualNotes } from '../../core/oils/shortlist';
import type { Millilitres } from '../../core/quantities';
import { clientOf } from './blend-draft';

/** Bottles that may still be used and have something left. */
export const usableOf = ({ shelf }: OilBenchView) =>
  shelf.filter(({ freshness, leftMl }) => freshness !== 'old' && leftMl > 0);

/** What the best blend is looked for with: the shelf's bottles that suit client, area, uses and likes. */
export function wishFrom(view: OilBenchView, { volumeMl, area, uses }: BlendInput): BestBlendCase {
  const client = clientOf(view);
  const { likes = '', dislikes = '' } = view.client ?? {};
  return {
    ...{ volumeMl, area, client, maxOils: 4 },
    candidates: shortlist(oilBook, usableOf(view), { area, client, uses, likes, dislikes }),
    wanted: uses.map((use) => ({ use, weight: 1 })),
    notes: usualNotes,
    targetPercent: targetPercentFor(oilBook, client, area),
  };
}

/** The blend as it is checked: with all that lies on the same skin. */
export function caseOf(view: OilBenchView, blend: BlendInput): BlendCase {
  const onSkin = blend.area === 'body' ? view.visit?.onSkin : undefined;
  return {
    ...{ ...blend, client: clientOf(view), basis: 'max' },
    ...(onSkin ? { already: besideBlend(onSkin, blend.volumeMl) } : {}),
  };
}

/** The one drop that makes a blend better; null when none does. */
export function betterThan(view: OilBenchView, blend: BlendInput): ReturnType<typeof makeBetter> {
  const usable = usableOf(view);
  const own = blend.parts.map((part) => {
    const entry = usable.find(({ oil }) => oil === part.oil);
    const known = entry ? candidateOf(oilBook, entry) : { oil: part.oil, costPerDrop: 0, maxDrops: part.drops };
    return { ...known, maxDrops: Math.max(known.maxDrops, part.drops), dropsPerMl: part.dropsPerMl };
  });
  const wish = wishFrom(view, blend);
  const others = wish.candidates.filter(({ oil }) => !blend.parts.some((part) => part.oil === oil));
  const better = makeBetter(oilBook, blend.parts, { ...wish, candidates: [...own, ...others] });
  const isOver =
    better && checkBlend(oilBook, caseOf(view, { ...blend, parts: [...better.parts] }))?.verdict === 'over';
  return isOver ? null : better;
}

/** All that follows from a blend on the bench for the one it is for; nothing of it is kept, all of it is calculated. */
export function followingFrom(view: OilBenchView, blend: BlendInput) {
  const client = clientOf(view);
  const input = caseOf(view, blend);
  const check = checkBlend(oilBook, input);
  const isScented = view.client?.unscentedWhy ? false : client.mostPercent !== 0;
  const mayCompose = isScented && view.scope.mayBlend;
  const safe = mayCompose ? makeSafe(oilBook, input) : null;
  const mayBetter = mayCompose && blend.parts.length > 0 && !safe && blend.uses.length > 0;
  const centsOf = (entries: OilBenchView['shelf'], oil: OilId, ml: Millilitres) =>
    ml * (entries.find((entry) => entry.oil === oil)?.centsPerMl ?? 0);
  return {
    client,
    check,
    isScented,
    /** Whether oils may be put in or taken out: by the client's limits, and by what the therapist has learned. */
    mayCompose,
    /** The blend inside every limit; null where it is inside already or may not be changed. */
    safe,
    better: mayBetter ? betterThan(view, blend) : null,
    usable: usableOf(view),
    costCents:
      (check?.parts ?? []).reduce((sum, { oil, ml }) => sum + centsOf(view.shelf, oil, ml), 0) +
      centsOf(view.carriers, blend.carrier, check?.carrierMl ?? 0),
  };
}
