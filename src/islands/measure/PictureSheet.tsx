import { measureWords } from './measure.words';
import type { ClientId } from '../../core/ids';
import { poses } from '../../core/skin/poses';
import type { Pose } from '../../core/skin/poses';
import { useState } from 'react';
import type { PhotoView } from '../../contracts/measure-views';
import { Choice } from '../../ui/choice/Choice';
import { Select } from '../../ui/field/Field';
import { Frame } from './Frame';
import { PictureIntake } from './PictureIntake';
import styles from './PictureSheet.module.css';
import type { SheetProps } from './sheet';

/** Photographs, if the client wants them: the same crop each time, two of them held against each other. */
export default function PictureSheet({ view, phase, head, onward }: SheetProps) {
  const [photos, setPhotos] = useState(view.photos);
  const [pose, setPose] = useState<Pose>((view.photos.at(-1)?.pose as Pose | undefined) ?? 'front');
  const ofPose = photos.filter((photo) => photo.pose === pose);
  const clientId = view.visit.client.id;
  return (
    <Frame
      bodyLabel={measureWords.takeAPicture}
      body={
        <PictureIntake
          key={`${pose} ${ofPose.length}`}
          visitId={view.visit.id}
          phase={phase}
          pose={pose}
          last={ofPose.at(-1)}
          clientId={clientId}
          onKept={(photo) => setPhotos((list) => [...list, photo])}
        />
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
          <Compare key={`${pose} ${ofPose.length}`} clientId={clientId} photos={ofPose} />
        </>
      }
      asideLabel={measureWords.picturesOnRecord}
      aside={
        <>
          <h2>{measureWords.onRecord}</h2>
          {photos.length === 0 ? (
            <p className={styles['soft']}>{measureWords.nonePicturesAreOptionalAskFirst}</p>
          ) : (
            <ul className={styles['list']}>
              {photos.toReversed().map((photo) => (
                <li key={photo.id}>
                  <img src={sourceOf(clientId, photo)} alt="" width={54} height={72} />
                  <button type="button" onClick={() => setPose(photo.pose as Pose)}>
                    {photo.pose}, {photo.phase}
                  </button>
                  <span>{photo.isOfThisVisit ? measureWords.today : photo.date}</span>
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

export const sourceOf = (clientId: ClientId, photo: { readonly fileId: number }) =>
  `/api/clients/${clientId}/files/${photo.fileId}`;

interface CompareProps {
  readonly clientId: ClientId;
  readonly photos: readonly PhotoView[];
}

const nameOf = (photo: PhotoView) => `${photo.isOfThisVisit ? 'today' : photo.date}, ${photo.phase}`;

/** Two pictures of one pose: side by side, or one drawn over the other by a slider. */
function Compare({ clientId, photos }: CompareProps) {
  const [mode, setMode] = useState<'side' | 'slider'>('side');
  const [leftId, setLeftId] = useState(photos[0]?.id);
  const [rightId, setRightId] = useState(photos.at(-1)?.id);
  const [share, setShare] = useState(50);
  const [left, right] = [photos.find(({ id }) => id === leftId), photos.find(({ id }) => id === rightId)];
  if (!left || !right) return <p className={styles['soft']}>{measureWords.noPictureOfThisViewYet}</p>;
  if (photos.length === 1)
    return (
      <figure className={styles['one']}>
        <img src={sourceOf(clientId, left)} alt={`${left.pose}, ${nameOf(left)}`} />
        <figcaption>{measureWords.theNextOneCanBeHeld(nameOf(left))}</figcaption>
      </figure>
    );
  const options = photos.map((photo) => (
    <option key={photo.id} value={photo.id}>
      {nameOf(photo)}
    </option>
  ));
  return (
    <>
      <div className={styles['pick']}>
        <Select
          label={measureWords.earlier}
          value={left.id}
          onChange={(event) => setLeftId(Number(event.target.value))}
        >
          {options}
        </Select>
        <Select
          label={measureWords.later}
          value={right.id}
          onChange={(event) => setRightId(Number(event.target.value))}
        >
          {options}
        </Select>
        <Choice
          label={measureWords.compare}
          options={[
            { value: 'side', text: measureWords.sideBySide },
            { value: 'slider', text: measureWords.slider },
          ]}
          value={mode}
          onChange={setMode}
        />
      </div>
      {mode === 'side' ? (
        <div className={styles['pair']}>
          {[left, right].map((photo, i) => (
            <figure key={i}>
              <img src={sourceOf(clientId, photo)} alt={`${photo.pose}, ${nameOf(photo)}`} />
              <figcaption>{nameOf(photo)}</figcaption>
            </figure>
          ))}
        </div>
      ) : (
        <div className={styles['over']}>
          <div>
            <img src={sourceOf(clientId, right)} alt={`${right.pose}, ${nameOf(right)}`} />
            <img
              src={sourceOf(clientId, left)}
              alt={`${left.pose}, ${nameOf(left)}`}
              style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}
            />
            <span style={{ left: `${share}%` }} aria-hidden="true" />
          </div>
          <label>
            <span>{nameOf(left)}</span>
            <input
              type="range"
              min={0}
              max={100}
              value={share}
              aria-label={measureWords.howMuchOfTheEarlierPicture}
              onChange={(event) => setShare(Number(event.target.value))}
            />
            <span>{nameOf(right)}</span>
          </label>
        </div>
      )}
    </>
  );
}
