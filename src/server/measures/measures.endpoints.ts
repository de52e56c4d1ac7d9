import { measureRoutes as routes } from '../../contracts/routes/measures';
import { findClient } from '../clients/clients.repository';
import { readName } from '../clients/read-name';
import { endpoints, fileAnswer } from '../http/endpoint';
import { invalidFields } from '../http/problem';
import { exportMeasures } from './export-measures';
import { measureImports } from './import-jobs';
import { startImport, storeImport } from './import-measures';
import { pairsForPaper } from '../pictures/pairs-for-paper';
import { print } from '../paper/print';
import { readMeasure } from './read-measure';
import { readProgress, readProgressDetails } from './read-progress';
import { removeProtocol, saveClientMeasuring, saveMeasuring, saveProtocol } from './save-measuring';
import { removeObservation, saveObservation } from './save-observation';
import { saveTaping } from './save-taping';
import { readTogetherOfHouse } from './together';
import { measuresAnswers } from './measures.answers';

export const measureEndpoints = endpoints(routes, {
  readMeasure: ({ db, params }) => readMeasure(db, params.id),
  saveTaping: ({ db, params, body, actor }) => saveTaping(db, params.id, body, actor),
  saveObservation: ({ db, params, body, actor }) => saveObservation(db, params.id, body, actor),
  removeObservation: ({ db, params, actor }) => removeObservation(db, params.id, params.key, actor),
  readProgressDetails: async ({ db, params: { id }, actor }) =>
    (await findClient(db, id)) && readProgressDetails(db, id, actor.now),
  progressReport: async ({ db, params: { id }, query, actor }) => {
    const [view, client] = await Promise.all([readProgress(db, id, actor.now), readName(db, id)]);
    if (!view || !client) return undefined;
    const course = view.courses.find(({ side, limb }) => query.limb === undefined || `${side} ${limb}` === query.limb);
    // Without a limb of that name there may be a neck or a face to report, but only where no limb was asked for.
    const hasOther = query.limb === undefined && (view.changes.length > 0 || view.remembered.length > 0);
    if (!course && !hasOther)
      return invalidFields([{ path: 'limb', message: measuresAnswers.thereIsNoTapingToReport }]);
    const pairs = await pairsForPaper(db, id);
    const report = await print('progress', view, course ?? null, client.bornOn, pairs);
    return fileAnswer(routes.progressReport.answer, report, measuresAnswers.progressPdf(id), 'inline');
  },
  together: ({ db, context }) => readTogetherOfHouse(db, context.request.signal),
  exportMeasures: async ({ db, params, query }) => {
    const table = await exportMeasures(db, params.id, query.unit);
    if (table === undefined) return undefined;
    return fileAnswer(routes.exportMeasures.answer, `\ufeff${table}`, measuresAnswers.measuresCsv(params.id));
  },
  saveClientMeasuring: ({ db, params, body, actor }) => saveClientMeasuring(db, params.id, body, actor),
  saveMeasuring: ({ db, body, actor }) => saveMeasuring(db, body, actor),
  addTapeProtocol: ({ db, body, actor }) => saveProtocol(db, undefined, body, actor),
  changeTapeProtocol: ({ db, params, body, actor }) => saveProtocol(db, params.id, body, actor),
  removeTapeProtocol: ({ db, params, actor }) => removeProtocol(db, params.id, actor),
  startImport: ({ db, query, body, actor }) => startImport(db, body, query.plan, actor),
  readImport: ({ params, actor }) => {
    const view = measureImports.read(params.job, actor);
    return view && { import: view };
  },
  storeImport: ({ db, params, body, actor }) => storeImport(db, params.job, body.leaveOutTroubled, actor),
  cancelImport: ({ params, actor }) => measureImports.cancel(params.job, actor),
});
