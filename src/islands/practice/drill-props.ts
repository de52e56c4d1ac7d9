import type { PracticeMarked } from '../../contracts/practice';
import type { DrillKind } from '../../core/training/kinds';
import type { AnswerOf, QuestionOf } from '../../core/training/drills';

/** What every drill gets: its case, and, once it is judged, what was right. */
export interface DrillProps<K extends DrillKind> {
  readonly question: QuestionOf<K>;
  /** Undefined while it is not whole. */
  readonly onChange: (answer: AnswerOf<K> | undefined) => void;
  readonly best: AnswerOf<K> | undefined;
  readonly faults: PracticeMarked['faults'];
}
