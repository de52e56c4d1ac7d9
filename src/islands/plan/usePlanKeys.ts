import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { planWords } from './plan.words';

interface PlanActs {
  readonly undo: () => void;
  readonly mend: () => void;
  /** Shows and hides what is taught of the steps that are open. */
  readonly teach: () => void;
  /** Fluid as it would follow the plan; only where there is a drainage to follow. */
  readonly flow?: (() => void) | undefined;
  /** Back to the order that the protocols teach; only where another one was taken. */
  readonly asTaught?: (() => void) | undefined;
}

/** Keys of every plan: those of the list, which the list answers itself, taking the last change back, and mending. */
export function usePlanKeys({ undo, mend, teach, flow, asTaught }: PlanActs): void {
  useShortcuts([
    { keys: ['↑', '↓'], words: planWords.fromStepToStep },
    { keys: ['Enter'], words: planWords.whyAStepStandsWhereIt },
    { keys: ['Alt+↑'], words: planWords.moveTheStepUp },
    { keys: ['Alt+↓'], words: planWords.moveTheStepDown },
    { keys: ['W'], words: planWords.whyNeverFeel, act: teach },
    ...(flow ? [{ keys: ['F'], words: planWords.seeItFlow, act: flow }] : []),
    ...(asTaught ? [{ keys: ['O'], words: planWords.asTheProtocolHasIt, act: asTaught }] : []),
    { keys: ['M'], words: planWords.mendWhatIsBroken, act: mend },
    { keys: ['Ctrl+Z'], words: planWords.undoTheLastMove, act: undo },
  ]);
}
