import { measureWords } from './measure.words';
import { useState } from 'react';
import { mayBeTaken } from '../../core/pictures/agreement';
import { type Pose, poses } from '../../core/pictures/poses';
import type { PhotoView } from '../../contracts/picture-views';
import { Choice } from '../../ui/choice/Choice';
import { Select } from '../../ui/field/Field';
import { Agreement } from '../pictures/Agreement';
import { PictureIntake } from '../pictures/PictureIntake';
import { PicturePair } from '../pictures/PicturePair';
import styles from '../pictures/pictures.module.css';
import { sourceOf } from '../pictures/source';
import type { ClientId } from '../../core/ids';
import { Frame } from './Frame';
import type { SheetProps } from './sheet';

/** Photographs, if the client wants them: asked first, the same crop each time, two of them held against each other. */
export default function PictureSheet({ view, phase, head, onward }: SheetProps) {
  const [pictures, setPictures] = useState(view.pictures);
  const { photos } = pictures;
  const [pose, setPose] = useState<Pose>(photos.at(-1)?.pose ?? 'front');
  const ofPose = photos.filter((photo) => photo.pose === pose);
  const clientId = view.visit.client.id;
  const isAgreed = mayBeTaken(pictures.answer);
  // What was refused is not looked at either, until it is removed.
  const isShown = pictures.answer !== 'refused';
  const agreement = <Agreement clientId={clientId} pictures={pictures} onAnswered={setPictures} />;
  return (
    <Frame
      isBodyWorked
      bodyLabel={measureWords.takeAPicture}
      body={
        isAgreed ? (
          <PictureIntake
            key={`${pose} ${ofPose.length}`}
            visitId={view.visit.id}
            phase={phase}
            pose={pose}
            last={ofPose.at(-1)}
            clientId={clientId}
            onKept={(photo) => setPictures((old) => ({ ...old, photos: [...old.photos, photo] }))}
          />
        ) : (
          <div className={styles['intake']}>{agreement}</div>
        )
      }
      main={
        <>
          {head}
          <Choice
            label={measureWords.whatItShows}
            options={poses.map((value) => ({ value, text: value }))}
            value={pose}
            onChange={setPose}
          />
          {isShown && <Compare key={`${pose} ${ofPose.length}`} clientId={clientId} photos={ofPose} />}
        </>
      }
      asideLabel={measureWords.picturesOnRecord}
      aside={
        <>
          {isAgreed && agreement}
          <h2>{measureWords.onRecord}</h2>
          {photos.length === 0 && <p className={styles['soft']}>{measureWords.none2}</p>}
          {isShown && (
            <ul className={styles['list']}>
              {photos.toReversed().map((photo) => (
                <li key={photo.id}>
                  <img src={sourceOf(clientId, photo)} alt="" width={54} height={72} />
                  <button type="button" onClick={() => setPose(photo.pose)}>
                    {photo.pose}, {photo.phase}
                  </button>
                  <span>{photo.visitId === view.visit.id ? measureWords.today : photo.date}</span>
                </li>
              ))}
            </ul>
          )}
        </>
      }
      foot={
        <>
          <span>{measureWords.picturesAreKeptWithTheFiles}</span>
          <em />
          {onward}
        </>
      }
    />
  );
}

interface CompareProps {
  readonly clientId: ClientId;
  readonly photos: readonly PhotoView[];
}

const nameOf = (photo: PhotoView) => `${photo.date}, ${photo.phase}`;

/** Any two pictures of one view, the first and the newest to begin with. */
function Compare({ clientId, photos }: CompareProps) {
  const [earlierId, setEarlierId] = useState(photos[0]?.id);
  const [laterId, setLaterId] = useState(photos.at(-1)?.id);
  const [earlier, later] = [photos.find(({ id }) => id === earlierId), photos.find(({ id }) => id === laterId)];
  if (!earlier || !later) return <p className={styles['soft']}>{measureWords.noPictureOfThisViewYet}</p>;
  if (photos.length === 1)
    return (
      <figure className={styles['one']}>
        <img src={sourceOf(clientId, earlier)} alt={`${earlier.pose}, ${nameOf(earlier)}`} />
        <figcaption>{measureWords.theNextOneCanBeHeld(nameOf(earlier))}</figcaption>
      </figure>
    );
  const pick = (label: string, id: number, onPick: (id: number) => void) => (
    <Select label={label} value={id} onChange={(event) => onPick(Number(event.target.value))}>
      {photos.map((photo) => (
        <option key={photo.id} value={photo.id}>
          {nameOf(photo)}
        </option>
      ))}
    </Select>
  );
  return (
    <>
      <div className={styles['pick']}>
        {pick(measureWords.earlier, earlier.id, setEarlierId)}
        {pick(measureWords.later, later.id, setLaterId)}
      </div>
      <PicturePair clientId={clientId} earlier={earlier} later={later} />
    </>
  );
}
