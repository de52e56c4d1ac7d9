import sharp from 'sharp';
import type { ClientId } from '../../core/ids';
import { mayBeSent } from '../../core/pictures/agreement';
import { lightOfPair } from '../../core/pictures/light';
import { pairsOverVisits } from '../../core/pictures/pairs';
import type { PhotoView } from '../../contracts/picture-views';
import { readAttachment } from '../clients/attach-file';
import type { Db } from '../db/connection';
import type { PaperPair, PaperPicture } from '../paper/shown';
import { readPictures } from './read-pictures';

/** Points across, for 132 points of paper at 220 to the inch. */
const width = 400;
const quality = 82;

/** The first and the newest picture of each view, ready to be printed; none unless the client agrees to them in letters. */
export async function pairsForPaper(db: Db, clientId: ClientId): Promise<readonly PaperPair[]> {
  const { answer, photos } = await readPictures(db, clientId);
  if (!mayBeSent(answer)) return [];
  const printed = async (photo: PhotoView): Promise<PaperPicture | undefined> => {
    const file = await readAttachment(db, clientId, photo.fileId);
    if (!file) return undefined;
    const small = sharp(file.content).flatten({ background: '#ffffff' }).resize({ width, withoutEnlargement: true });
    return { day: photo.date, phase: photo.phase, jpeg: await small.jpeg({ quality }).toBuffer() };
  };
  const pairs = await Promise.all(
    pairsOverVisits(photos).map(async ({ pose, earlier, later }) => {
      const [was, is] = await Promise.all([printed(earlier), printed(later)]);
      return was && is
        ? [{ pose, earlier: was, later: is, light: lightOfPair(earlier.light, later.light)?.words }]
        : [];
    }),
  );
  return pairs.flat();
}
