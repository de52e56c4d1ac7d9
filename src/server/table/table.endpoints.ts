import { tableRoutes as routes } from '../../contracts/routes/table';
import { endpoints } from '../http/endpoint';
import { readTableNow, recordEvents, takeLead } from './record-table';

export const tableEndpoints = endpoints(routes, {
  readTable: ({ db, params }) => readTableNow(db, params.id),
  recordEvents: ({ db, params, body, actor }) => recordEvents(db, params.id, body, actor),
  takeLead: ({ db, params, body, actor }) => takeLead(db, params.id, body.deviceId, actor),
});
