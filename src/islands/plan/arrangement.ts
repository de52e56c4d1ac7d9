import type { Step } from '../../core/drainage/step';

/** The steps of a plan as the hand has arranged them, and what they were before. */
export interface Arrangement {
  readonly steps: readonly Step[];
  /** The step that was moved last, to be seen. */
  readonly movedId: string | undefined;
  /** The orders before, the newest last. */
  readonly past: readonly (readonly Step[])[];
}

export type ArrangementChange =
  /** Another plan: what was done to the one before cannot be taken back. */
  | { readonly kind: 'planned'; readonly steps: readonly Step[] }
  | { readonly kind: 'moved'; readonly from: number; readonly to: number }
  | { readonly kind: 'mended'; readonly steps: readonly Step[] }
  | { readonly kind: 'undone' };

/** As many changes as can be taken back. */
export const mostPast = 31;

export const arrangementOf = (steps: readonly Step[]): Arrangement => ({ steps, movedId: undefined, past: [] });

/** @returns the arrangement after a change; the same one where the change means nothing */
export function arrange(now: Arrangement, change: ArrangementChange): Arrangement {
  switch (change.kind) {
    case 'planned':
      return arrangementOf(change.steps);
    case 'mended':
      return { steps: change.steps, movedId: undefined, past: remembered(now) };
    case 'moved':
      return moved(now, change);
    case 'undone': {
      const before = now.past.at(-1);
      return before ? { steps: before, movedId: undefined, past: now.past.slice(0, -1) } : now;
    }
  }
}

function moved(now: Arrangement, { from, to }: { readonly from: number; readonly to: number }): Arrangement {
  const step = now.steps[from];
  if (!step || from === to || to < 0 || to >= now.steps.length) return now;
  const rest = now.steps.filter((_, i) => i !== from);
  return { steps: [...rest.slice(0, to), step, ...rest.slice(to)], movedId: step.id, past: remembered(now) };
}

const remembered = ({ past, steps }: Arrangement) => [...past, steps].slice(-mostPast);
