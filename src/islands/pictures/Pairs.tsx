import type { PhotoView, PicturesView } from '../../contracts/picture-views';
import type { ClientId } from '../../core/ids';
import { mayBeTaken } from '../../core/pictures/agreement';
import { type Pair, pairsOfVisit, pairsOverVisits } from '../../core/pictures/pairs';
import { PicturePair } from './PicturePair';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly pictures: PicturesView;
  /** Before and after of this visit; without one, the first and the newest. */
  readonly visitId?: number;
}

/** Pictures as pairs, view by view; nothing where there are none, or the client wants none. */
export function Pairs({ clientId, pictures: { answer, photos }, visitId }: Props) {
  if (!mayBeTaken(answer)) return null;
  const pairs: readonly Pair<PhotoView>[] =
    visitId === undefined ? pairsOverVisits(photos) : pairsOfVisit(photos, visitId);
  if (pairs.length === 0) return null;
  const title = visitId === undefined ? picturesWords.pairsOverTime : picturesWords.pairs;
  return (
    <section className={styles['pairs']} aria-label={title}>
      <h2>{title}</h2>
      <div className={styles['views']}>
        {pairs.map(({ pose, earlier, later }) => (
          <div key={pose} role="group" aria-label={pose}>
            <h3>{pose}</h3>
            <PicturePair clientId={clientId} earlier={earlier} later={later} />
          </div>
        ))}
      </div>
    </section>
  );
}
