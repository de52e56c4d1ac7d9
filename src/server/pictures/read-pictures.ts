import type { PhotoView, PicturesView } from '../../contracts/picture-views';
import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';
import { shortDay } from '../shared/house-clock';
import { findPictureAnswer, listPhotos, type StoredPhoto } from './pictures.repository';

/** What a client has said about pictures, and those on record, the oldest first. */
export async function readPictures(db: Db, clientId: ClientId): Promise<PicturesView> {
  const [answered, photos] = await Promise.all([findPictureAnswer(db, clientId), listPhotos(db, clientId)]);
  return {
    answer: answered?.answer ?? null,
    answeredOn: answered ? shortDay(answered.answeredAt) : null,
    photos: photos.map(shownPhoto),
  };
}

export const shownPhoto = ({ attachmentId, ...photo }: StoredPhoto): PhotoView => ({
  ...photo,
  fileId: attachmentId,
  date: shortDay(photo.takenAt),
});
