import type { Seconds } from '../quantities';
import { type Setting, type SetupCosts, tablePlaces } from './block';

export const changeKinds = ['turn', 'hands', 'walk', 'drape', 'wash', 'head'] as const;
export type ChangeKind = (typeof changeKinds)[number];

export interface SetupChange {
  /** Id of the block that it makes ready for. */
  readonly before: string;
  readonly kind: ChangeKind;
  readonly seconds: Seconds;
}

const apart = (from: Setting['therapist'], to: Setting['therapist']) => {
  const steps = Math.abs(tablePlaces.indexOf(from) - tablePlaces.indexOf(to));
  return Math.min(steps, tablePlaces.length - steps);
};

/** Seconds of each kind of change from one setting to the next, in the order of `changeKinds`; washing and the head are asked by what is worked. */
function changeSeconds(from: Setting, to: Setting, costs: SetupCosts): readonly number[] {
  const isTurned = from.position !== to.position;
  const places = apart(from.therapist, to.therapist);
  return [
    isTurned ? costs.turn : 0,
    costs.hands(from.hands, to.hands),
    places === 0 ? 0 : places === 1 ? costs.walkToNeighbour : costs.walkAcross,
    !isTurned && from.side !== to.side ? costs.drape : 0,
  ];
}

export function setupSeconds(from: Setting, to: Setting, costs: SetupCosts): number {
  return changeSeconds(from, to, costs).reduce((sum, seconds) => sum + seconds, 0);
}

/** Every change of an order that takes time, in the order in which it happens. */
export function changesOf<B extends Setting & { readonly id: string }>(
  start: Setting,
  order: readonly B[],
  costs: SetupCosts,
): readonly SetupChange[] {
  return order.flatMap((block, i) =>
    changeSeconds(order[i - 1] ?? start, block, costs).flatMap((seconds, kind) =>
      seconds > 0 ? [{ before: block.id, kind: changeKinds[kind] ?? 'turn', seconds }] : [],
    ),
  );
}
