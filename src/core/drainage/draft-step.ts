import type { Range, Step } from './step';
import type { Why } from './why';

/** A step before its repetitions are fixed. */
export interface DraftStep extends Omit<Step, 'id' | 'repetitions' | 'seconds' | 'why' | 'cautions'> {
  /** Put into words only once the course is settled: fitting the time writes many that are thrown away. */
  readonly because: Why;
  readonly range: Range;
  /** Places that a long stroke runs over, its end not counted. */
  readonly stretches: number;
}
