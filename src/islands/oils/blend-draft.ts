import { oilsWords } from './oils.words';
import type { Millilitres, Minutes } from '../../core/quantities';
import type { OilId } from '../../core/ids';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import type { OilBenchView } from '../../contracts/oil-views';
import type { UseId } from '../../core/oils/book';
import { chooseCarrier } from '../../core/oils/carrier';
import { adult, type OilClient } from '../../core/oils/client';
import { scaleBlend } from '../../core/oils/amounts';

/** The blend on the bench, and which of its oils the keys move. */
export interface Draft {
  readonly blend: BlendInput;
  readonly selected: string | null;
  /** What was there before, the newest last. */
  readonly past: readonly BlendInput[];
}

export type DraftChange =
  | { readonly kind: 'drops'; readonly oil: OilId; readonly by: number; readonly dropsPerMl?: number | undefined }
  | { readonly kind: 'select'; readonly oil: OilId }
  | { readonly kind: 'remove'; readonly oil: OilId }
  | { readonly kind: 'parts'; readonly parts: BlendInput['parts'] }
  | { readonly kind: 'volume'; readonly volumeMl: Millilitres; readonly isScaled: boolean }
  | { readonly kind: 'carrier'; readonly carrier: string }
  | { readonly kind: 'area'; readonly area: BlendInput['area'] }
  | { readonly kind: 'use'; readonly use: UseId }
  | { readonly kind: 'name'; readonly name: string }
  | { readonly kind: 'whole'; readonly blend: BlendInput }
  | { readonly kind: 'undo' };

const mostPast = 60;
const mostDrops = 2000;

/** One change of the draft; every change but a selection can be taken back. */
export function changeDraft(draft: Draft, change: DraftChange): Draft {
  if (change.kind === 'undo') {
    const blend = draft.past.at(-1);
    return blend ? { ...draft, blend, past: draft.past.slice(0, -1) } : draft;
  }
  if (change.kind === 'select') return { ...draft, selected: change.oil };
  const blend = changed(draft.blend, change);
  if (blend === draft.blend) return draft;
  const selected = selectedAfter(draft, change, blend);
  return { blend, selected, past: [...draft.past, draft.blend].slice(-mostPast) };
}

function selectedAfter(draft: Draft, change: DraftChange, blend: BlendInput): string | null {
  if (change.kind === 'drops') return change.oil;
  const isThere = blend.parts.some(({ oil }) => oil === draft.selected);
  return isThere ? draft.selected : (blend.parts[0]?.oil ?? null);
}

function changed(blend: BlendInput, change: Exclude<DraftChange, { kind: 'undo' | 'select' }>): BlendInput {
  switch (change.kind) {
    case 'drops':
      return { ...blend, parts: movedParts(blend.parts, change) };
    case 'remove':
      return { ...blend, parts: blend.parts.filter(({ oil }) => oil !== change.oil) };
    case 'parts':
      return { ...blend, parts: change.parts };
    case 'volume':
      return {
        ...blend,
        volumeMl: change.volumeMl,
        parts: change.isScaled ? scaled(blend, change.volumeMl) : blend.parts,
      };
    case 'carrier':
      return { ...blend, carrier: change.carrier };
    case 'area':
      return { ...blend, area: change.area };
    case 'use': {
      const has = blend.uses.includes(change.use);
      return { ...blend, uses: has ? blend.uses.filter((use) => use !== change.use) : [...blend.uses, change.use] };
    }
    case 'name':
      return { ...blend, name: change.name };
    case 'whole':
      return change.blend;
  }
}

function movedParts(
  parts: BlendInput['parts'],
  { oil, by, dropsPerMl }: Extract<DraftChange, { kind: 'drops' }>,
): BlendInput['parts'] {
  const known = parts.find((part) => part.oil === oil);
  if (!known) return by > 0 ? [...parts, { oil, drops: by, ...(dropsPerMl ? { dropsPerMl } : {}) }] : parts;
  const drops = Math.min(mostDrops, Math.max(0, known.drops + by));
  return drops === 0
    ? parts.filter((part) => part.oil !== oil)
    : parts.map((part) => (part.oil === oil ? { ...part, drops } : part));
}

const scaled = (blend: BlendInput, toMl: Millilitres): BlendInput['parts'] =>
  scaleBlend(oilBook, blend.parts, blend.volumeMl, toMl)
    .parts.filter(({ drops }) => drops > 0)
    .map(({ oil, drops, dropsPerMl }) => ({ oil, drops, ...(dropsPerMl ? { dropsPerMl } : {}) }));

/** Without clinical training no blend is stronger (%). */
const readyMostPercent = 2;

/** Whom the limits are held for: the client, or an adult, and what the therapist may do. */
export function clientOf({ client, scope }: Pick<OilBenchView, 'client' | 'scope'>): OilClient {
  const of = client?.client ?? adult;
  return scope.mayBlend ? of : { ...of, mostPercent: Math.min(of.mostPercent ?? Infinity, readyMostPercent) };
}

const usualMl = 30;

/** What the bench opens with: the visit's own blend, or an empty bottle of the size that is needed. */
export function firstDraft(bench: OilBenchView): Draft {
  const { visit, client } = bench;
  const chosen = visit?.chosen.body ?? visit?.chosen.face;
  if (chosen) return { blend: chosen.blend, selected: chosen.blend.parts[0]?.oil ?? null, past: [] };
  const area = visit && !visit.needs.body && visit.needs.face ? 'face' : 'body';
  const need = area === 'face' ? visit?.needs.face : visit?.needs.body;
  const [first] = carriersFor(bench, area, need?.minutes ?? 20);
  return {
    blend: {
      name: client ? oilsWords.blendFor(client.name.split(' ')[0] ?? client.name) : oilsWords.houseBlend,
      area,
      volumeMl: need?.ml ?? usualMl,
      carrier: first?.carrier.id ?? 'grapeseed',
      parts: [],
      uses: [],
    },
    selected: null,
    past: [],
  };
}

/** Carriers of the house from the most to the least suited. */
export const carriersFor = (bench: OilBenchView, area: BlendInput['area'], minutes: Minutes) =>
  chooseCarrier(oilBook, {
    area,
    client: clientOf(bench),
    skinType: bench.client?.skinType ?? null,
    minutes,
    dressesAtOnce: false,
    stock: new Set(bench.carriers.filter(({ leftMl }) => leftMl > 0).map(({ oil }) => oil)),
  });
