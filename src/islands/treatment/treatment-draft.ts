import type { TreatmentView } from '../../contracts/treatment-views';

export type Wish = TreatmentView['wish'];
type Blocks = TreatmentView['blocks'];

/** A treatment in the therapist's hands: what is wished now, what was before, and the order while it is still planned. */
export interface TreatmentDraft {
  readonly wish: Wish;
  /** Wishes before this one, the newest last. */
  readonly past: readonly Wish[];
  /** The parts as the hand has put them, until the plan has them so. */
  readonly ahead: readonly string[] | undefined;
}

export type TreatmentAction =
  /** Other choices, minutes or form: the best order is found anew. */
  | { readonly kind: 'set'; readonly part: Partial<Wish> }
  /** The fastest order that the rules allow, or the one that the protocols teach. */
  | { readonly kind: 'free'; readonly isFree: boolean }
  | { readonly kind: 'best-order' }
  /** Every step of a part so often; as taught again without a number. */
  | { readonly kind: 'times'; readonly block: string; readonly number: number | undefined }
  /** Takes a part of a protocol in that was not chosen. */
  | { readonly kind: 'add-part'; readonly choice: string; readonly part: string }
  /** Other stones for steps; the order stays as it is. */
  | { readonly kind: 'stones'; readonly stones: NonNullable<Wish['stones']> }
  /** What the technique asks for again. */
  | { readonly kind: 'usual-stones'; readonly step: string }
  /** The therapist’s own seconds, or the library’s; the order stays as it is. */
  | { readonly kind: 'pace'; readonly pace: NonNullable<Wish['pace']> }
  /** Leans to the side that was tighter, or not; an order that was made by hand stays. */
  | { readonly kind: 'lean'; readonly leanTo: NonNullable<Wish['leanTo']> }
  /** Other oils or drops for layers on the skin. */
  | { readonly kind: 'layers'; readonly layers: NonNullable<Wish['layers']> }
  | { readonly kind: 'usual-layer'; readonly step: string }
  /** All parts, in the order that is wanted. */
  | { readonly kind: 'order'; readonly ids: readonly string[] }
  | { readonly kind: 'undo' }
  /** The plan has come back, and has the order. */
  | { readonly kind: 'planned' };

const mostUndos = 30;

export const firstDraft = (wish: Wish): TreatmentDraft => ({ wish, past: [], ahead: undefined });

/** What stands after an action; the same draft where the action changes nothing. */
export function draftAfter(draft: TreatmentDraft, action: TreatmentAction): TreatmentDraft {
  switch (action.kind) {
    case 'planned':
      return draft.ahead === undefined ? draft : { ...draft, ahead: undefined };
    case 'undo': {
      const previous = draft.past.at(-1);
      return previous ? { wish: previous, past: draft.past.slice(0, -1), ahead: undefined } : draft;
    }
    default: {
      const wish = wishAfter(draft.wish, action);
      return {
        wish,
        past: [...draft.past, draft.wish].slice(-mostUndos),
        ahead: action.kind === 'order' ? action.ids : wish.order ? draft.ahead : undefined,
      };
    }
  }
}

function wishAfter(wish: Wish, action: Exclude<TreatmentAction, { readonly kind: 'undo' | 'planned' }>): Wish {
  switch (action.kind) {
    case 'set':
      return inBestOrder({ ...wish, ...action.part });
    case 'free':
      return inBestOrder({ ...wish, isFree: action.isFree });
    case 'best-order':
      return inBestOrder(wish);
    case 'times': {
      const times = without(wish.times, action.block);
      return { ...wish, times: action.number === undefined ? times : { ...times, [action.block]: action.number } };
    }
    case 'add-part':
      return inBestOrder({
        ...wish,
        choices: wish.choices.map((choice) =>
          choice.id === action.choice && choice.blocks
            ? { ...choice, blocks: [...choice.blocks, action.part] }
            : choice,
        ),
      });
    case 'pace':
      return { ...wish, pace: action.pace };
    case 'lean':
      return { ...wish, leanTo: action.leanTo };
    case 'stones':
      return { ...wish, stones: { ...wish.stones, ...action.stones } };
    case 'usual-stones':
      return { ...wish, stones: without(wish.stones, action.step) };
    case 'layers':
      return { ...wish, layers: { ...wish.layers, ...action.layers } };
    case 'usual-layer':
      return { ...wish, layers: without(wish.layers, action.step) };
    case 'order':
      return { ...wish, order: [...action.ids] };
  }
}

/** A wish that leaves the order to the planner. */
function inBestOrder({ order: _, ...wish }: Wish): Wish {
  return wish;
}

function without<T>(all: Readonly<Record<string, T>> | undefined, key: string): Readonly<Record<string, T>> {
  const { [key]: _, ...others } = all ?? {};
  return others;
}

/** The parts in the order as the hand has them. */
export function blocksInHand({ ahead }: TreatmentDraft, blocks: Blocks): Blocks {
  return ahead ? blocks.toSorted((a, b) => ahead.indexOf(a.id) - ahead.indexOf(b.id)) : blocks;
}

/** All ids with the one at `from` put to position `to`; undefined where nothing moves. */
export function moved(ids: readonly string[], from: number, to: number): readonly string[] | undefined {
  const id = ids[from];
  if (id === undefined || from === to || to < 0 || to >= ids.length) return undefined;
  const others = ids.filter((_, i) => i !== from);
  return [...others.slice(0, to), id, ...others.slice(to)];
}
