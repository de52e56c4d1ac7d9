import { clientRoutes as routes } from '../../contracts/routes/clients';
import { endpoints, fileAnswer } from '../http/endpoint';
import { problem } from '../http/problem';
import { attachFile, readAttachment, removeAttachment } from './attach-file';
import { eraseClient, exportClient } from './erase-client';
import { mergeClients, previewMerge } from './merge-clients';
import { findDoubles } from './find-doubles';
import { findClients } from './read-client';
import { addClient, archiveClient, correctClient, correctContact } from './save-client';
import { clientsAnswers } from './clients.answers';

export const clientEndpoints = endpoints(routes, {
  findClients: ({ db, query, actor }) => findClients(db, query.q, actor.now),
  findDoubles: ({ db, body }) => findDoubles(db, body),
  addClient: ({ db, body, actor }) => addClient(db, body, actor),
  correctClient: async ({ db, params, body, staff, actor }) => {
    const correct = staff.role === 'assistant' ? correctContact : correctClient;
    const result = await correct(db, params.id, body, actor);
    if (result.kind !== 'overtaken') return result;
    return problem({
      type: '/problems/edited-elsewhere',
      title: clientsAnswers.someoneElseSavedInTheMeantime,
      status: 409,
      detail: clientsAnswers.bothAreShownKeepYoursOr,
      theirs: result.theirs,
      version: result.version,
    });
  },
  eraseClient: ({ db, params, query, actor }) => eraseClient(db, params.id, query.name, actor),
  archiveClient: ({ db, params, actor }) => archiveClient(db, params.id, true, actor),
  unarchiveClient: ({ db, params, actor }) => archiveClient(db, params.id, false, actor),
  previewMerge: ({ db, params, query }) => previewMerge(db, params.id, query.with),
  mergeClients: ({ db, params, body: { dropId, keepVersion, dropVersion }, actor }) =>
    mergeClients(db, params.id, dropId, { keep: keepVersion, drop: dropVersion }, actor),
  exportClient: async ({ db, params, actor }) => {
    const result = await exportClient(db, params.id, actor);
    if (result.kind !== 'saved') return result;
    const text = JSON.stringify(result.document, null, 1);
    return fileAnswer(routes.exportClient.answer, text, `client-${params.id}.json`);
  },
  attachFile: ({ db, params, query, body, actor }) =>
    attachFile(db, params.id, { name: query.name, content: body }, actor),
  // Served as what it was found to be, with nothing in it allowed to run.
  readFile: async ({ db, params }) => {
    const file = await readAttachment(db, params.id, params.key);
    if (!file) return undefined;
    const how = file.mediaType.startsWith('image/') ? 'inline' : 'attachment';
    return fileAnswer({ file: file.mediaType }, file.content, file.name, how);
  },
  removeFile: ({ db, params, actor }) => removeAttachment(db, params.id, params.key, actor),
});
