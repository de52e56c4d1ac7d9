import { anatomy } from '../../catalogue/anatomy';
import { shortLabel } from '../../core/anatomy/place-labels';
import type { DrillProps } from './drill-props';
import { practiceWords } from './practice.words';

export type QuestionStep = DrillProps<'order'>['question']['steps'][number];

/** What a step of a case is called; at the highest level its name is not told, only where it is. */
export function titleOf({ label, kind, place }: QuestionStep): string {
  const at = shortLabel(anatomy, place);
  return label ?? (kind === 'close' ? practiceWords.closingAt(at) : practiceWords.strokeAt(at));
}
