import { clientExchangeRoutes as routes } from '../../contracts/routes/client-exchange';
import { endpoints, fileAnswer } from '../http/endpoint';
import { clientsAnswers } from './clients.answers';
import { clientsAsCsv, clientsAsVCards } from './export-clients';
import { clientImports, startClientImport } from './import-clients';
import { storeClientImport } from './store-clients';
import { listClientImports, undoClientImport } from './undo-import';

export const clientExchangeEndpoints = endpoints(routes, {
  startClientImport: ({ db, query, body, actor }) => startClientImport(db, body, query.plan, actor),
  readClientImport: ({ params, actor }) => {
    const view = clientImports.read(params.job, actor);
    return view && { import: view };
  },
  storeClientImport: ({ db, params, body, actor }) => storeClientImport(db, params.job, body, actor),
  cancelClientImport: ({ params, actor }) => clientImports.cancel(params.job, actor),
  listClientImports: ({ db }) => listClientImports(db),
  undoClientImport: ({ db, params, actor }) => undoClientImport(db, params.key, actor),
  clientsAsCsv: async ({ db, actor }) =>
    fileAnswer(routes.clientsAsCsv.answer, `\uFEFF${await clientsAsCsv(db, actor)}`, clientsAnswers.clientsCsv),
  clientsAsVCards: async ({ db, actor }) =>
    fileAnswer(routes.clientsAsVCards.answer, await clientsAsVCards(db, actor), clientsAnswers.clientsVcf),
});
