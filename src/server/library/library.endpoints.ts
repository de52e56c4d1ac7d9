import { z } from 'zod';
import { LibraryFile } from '../../contracts/library';
import { libraryRoutes as routes } from '../../contracts/routes/library';
import { endpoints, fileAnswer } from '../http/endpoint';
import { invalidFields } from '../http/problem';
import { plainLibrary } from './plain-library';
import { exportLibrary, readLibrary } from './read-library';
import { importLibrary, restoreEntry, saveProtocol, saveTechnique } from './save-library';
import { libraryAnswers } from './library.answers';

const otherId = () => invalidFields([{ path: 'value.id', message: libraryAnswers.theIdIsNotTheOne }]);

export const libraryEndpoints = endpoints(routes, {
  exportLibrary: async ({ db, query }) =>
    fileAnswer(
      routes.exportLibrary.answer,
      JSON.stringify(query.with === 'shipped' ? await plainLibrary(db) : await exportLibrary(db, query.all), null, 2),
      'library.json',
    ),
  importLibrary: ({ db, query, body, actor }) => importLibrary(db, body, query.keep, actor),
  readLibrary: ({ db, staff }) => readLibrary(db, staff.qualifications),
  librarySchema: () => ({ title: libraryAnswers.velvetStoneLibrary, ...z.toJSONSchema(LibraryFile, { io: 'input' }) }),
  saveTechnique: ({ db, params, body: { value, basedOn }, actor }) =>
    value.id === params.key ? saveTechnique(db, value, basedOn, actor) : otherId(),
  restoreTechnique: ({ db, params, actor }) => restoreEntry(db, 'technique', params.key, actor),
  saveProtocol: ({ db, params, body: { value, basedOn }, actor }) =>
    value.id === params.key ? saveProtocol(db, value, basedOn, actor) : otherId(),
  restoreProtocol: ({ db, params, actor }) => restoreEntry(db, 'protocol', params.key, actor),
});
