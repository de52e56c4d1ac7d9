import { visitRoutes as routes } from '../../contracts/routes/visits';
import { print } from '../paper/print';
import { endpoints, fileAnswer } from '../http/endpoint';
import { readVisitLanguage } from '../clients/read-language';
import { readHouseFacts } from '../people/read-facts';
import { finishVisit, saveClosing } from './close-visit';
import { handOver } from './hand-over';
import { readClose } from './read-close';
import { readVisit } from './read-visit';

export const visitEndpoints = endpoints(routes, {
  readVisit: ({ db, params }) => readVisit(db, params.id),
  handOver: ({ db, params, body, actor }) => handOver(db, params.id, body.therapistId, actor),
  saveClosing: ({ db, params, body, actor }) => saveClosing(db, params.id, body, actor),
  finishVisit: ({ db, params, actor }) => finishVisit(db, params.id, actor),
  aftercare: async ({ db, params, query }) => {
    const [close, house] = await Promise.all([readClose(db, params.id), readHouseFacts(db)]);
    if (!close) return undefined;
    const chosen = close.visit.closing?.aftercare ?? close.aftercare;
    const from = { name: house?.name ?? '', phone: house?.phone };
    const care = await print('visitCare', query.language || (await readVisitLanguage(db, params.id)), chosen, from);
    return fileAnswer(routes.aftercare.answer, care, 'to-mind.pdf', 'inline');
  },
});
