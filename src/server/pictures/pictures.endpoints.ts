import { pictureRoutes as routes } from '../../contracts/routes/pictures';
import { findClient } from '../clients/clients.repository';
import { endpoints } from '../http/endpoint';
import { answerPictures } from './answer-pictures';
import { readPictures } from './read-pictures';
import { savePhoto } from './save-photo';

export const pictureEndpoints = endpoints(routes, {
  readPictures: async ({ db, params }) => ((await findClient(db, params.id)) ? readPictures(db, params.id) : undefined),
  answerPictures: ({ db, params, body, actor }) => answerPictures(db, params.id, body, actor),
  savePhoto: ({ db, params, query, body, actor }) => savePhoto(db, params.id, { ...query, content: body }, actor),
});
