import type { FlowStep } from './model';

/** The same case, done otherwise. */
export const otherwiseIds = ['far-first', 'not-prepared', 'not-carried', 'opened-last', 'nothing-opened'] as const;
export type OtherwiseId = (typeof otherwiseIds)[number];

type Named = FlowStep & { readonly kind: string };

const isOpening = ({ kind }: Named) => kind === 'clear' || kind === 'breathe';

/**
 * A course done as nobody teaches it, in the same seconds a step: drained from the far end, ways not prepared, nothing
 * carried on to them, the outlets opened last, or nothing opened at all.
 */
export function otherwise<S extends Named>(steps: readonly S[], id: OtherwiseId): readonly S[] {
  switch (id) {
    case 'far-first': {
      const drains = steps.filter(({ kind }) => kind === 'drain').toReversed();
      let next = 0;
      return steps.map((step) => (step.kind === 'drain' ? (drains[next++] ?? step) : step));
    }
    case 'not-prepared':
      return steps.filter(({ kind }) => kind !== 'prepare');
    case 'not-carried':
      return steps.filter(({ kind }) => kind !== 'carry');
    case 'opened-last':
      return [...steps.filter((step) => !isOpening(step)), ...steps.filter(isOpening)];
    case 'nothing-opened':
      return steps.filter((step) => !isOpening(step) && step.kind !== 'prepare' && step.kind !== 'close');
  }
}

/** Those that are otherwise at all: where nothing is carried on, leaving that out changes nothing. */
export const otherwiseOf = (steps: readonly Named[]): readonly OtherwiseId[] =>
  otherwiseIds.filter((id) => {
    const other = otherwise(steps, id);
    return other.length !== steps.length || other.some((step, i) => step !== steps[i]);
  });
