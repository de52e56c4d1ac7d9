import type { ReactNode } from 'react';
import type { ClientMeasuringInput } from '../../contracts/measures';
import type { MeasureView } from '../../contracts/measure-views';
import type { Observations } from './useObservations';

/** What every sheet of the Measure view is given. */
export interface SheetProps {
  readonly view: MeasureView;
  readonly phase: 'before' | 'after';
  /** Flags and the choice of sheets, at the top of the middle column. */
  readonly head: ReactNode;
  /** The way on, at the end of the foot. */
  readonly onward: ReactNode;
  readonly observations: Observations;
  readonly client: ClientMeasuringInput;
  readonly onClient: (change: Partial<ClientMeasuringInput>) => void;
}
