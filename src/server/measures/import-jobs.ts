import type { ImportView } from '../../contracts/imports';
import { type Job, Jobs } from '../exchange/jobs';
import { measuresAnswers } from './measures.answers';
import type { NewTaping } from './tapings.repository';

export type MeasureImport = Job<ImportView, readonly NewTaping[]>;

/** Tables of girths that are being read, or wait to be stored. */
export const measureImports = new Jobs<ImportView, readonly NewTaping[]>(
  {
    ...{ state: 'reading', share: 0, rows: 0, girths: 0, tapings: 0, clients: 0 },
    ...{ troubles: [], troubleCount: 0, sample: [], message: '' },
  },
  [],
  {
    stopped: measuresAnswers.stoppedNothingWasBroughtIn,
    failed: measuresAnswers.somethingWentWrongNothingWasBrought,
  },
);
