import { SaveLine } from '../saving/SaveLine';
import { measureWords } from './measure.words';
import type { Observations } from './useObservations';

/** How the answers of a sheet stand, at its foot. */
export function ObservationLine({ observations: { saving, compare } }: { readonly observations: Observations }) {
  return <SaveLine saving={saving} saved={measureWords.everyAnswerIsKeptAsYou} compare={compare} />;
}
