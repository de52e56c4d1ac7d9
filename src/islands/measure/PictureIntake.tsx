import { measureWords } from './measure.words';
import type { ClientId, VisitId } from '../../core/ids';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { PhotoView } from '../../contracts/measure-views';
import { Button } from '../../ui/button/Button';
import { sentenceOf } from '../api';
import { upload } from '../upload';
import type { Pose } from '../../core/skin/poses';
import styles from './PictureSheet.module.css';

interface Props {
  readonly visitId: VisitId;
  readonly clientId: ClientId;
  readonly phase: 'before' | 'after';
  readonly pose: Pose;
  /** The last picture of the pose: shown through the new one, so that the crop comes out the same. */
  readonly last: PhotoView | undefined;
  readonly onKept: (photo: PhotoView) => void;
}

/** Every picture is cut to this, so that two of them can be laid over each other. */
const kept = { width: 900, height: 1200 } as const;
const moveShare = 0.01;
const zoomStep = 1.02;

interface Crop {
  readonly x: number;
  readonly y: number;
  readonly zoom: number;
}

/** Takes a picture from the camera or a file and fits it to the last one before it is kept. */
export function PictureIntake({ visitId, clientId, phase, pose, last, onKept }: Props) {
  const [picture, setPicture] = useState<HTMLImageElement>();
  const [crop, setCrop] = useState<Crop>({ x: 0, y: 0, zoom: 1 });
  const [trouble, setTrouble] = useState<string>();
  const [isKeeping, setIsKeeping] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !picture) return;
    context.fillStyle = '#f4efe8';
    context.fillRect(0, 0, kept.width, kept.height);
    const scale = Math.max(kept.width / picture.naturalWidth, kept.height / picture.naturalHeight) * crop.zoom;
    const [w, h] = [picture.naturalWidth * scale, picture.naturalHeight * scale];
    const [x, y] = [(kept.width - w) / 2 + crop.x * kept.width, (kept.height - h) / 2 + crop.y * kept.height];
    context.drawImage(picture, x, y, w, h);
  }, [crop, picture]);

  const choose = (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    if (file.size === 0) {
      setTrouble(measureWords.thatFileIsEmptyChooseAnother);
      return;
    }
    const image = new Image();
    const address = URL.createObjectURL(file);
    image.onload = () => {
      setPicture(image);
      setCrop({ x: 0, y: 0, zoom: 1 });
      URL.revokeObjectURL(address);
    };
    image.onerror = () => {
      setTrouble(measureWords.thatIsNotAPictureThat);
      URL.revokeObjectURL(address);
    };
    image.src = address;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const change: Partial<Record<string, Partial<Crop>>> = {
      ArrowLeft: { x: crop.x - moveShare },
      ArrowRight: { x: crop.x + moveShare },
      ArrowUp: { y: crop.y - moveShare },
      ArrowDown: { y: crop.y + moveShare },
      '+': { zoom: crop.zoom * zoomStep },
      '-': { zoom: Math.max(0.2, crop.zoom / zoomStep) },
    };
    const next = change[event.key];
    if (!next) return;
    event.preventDefault();
    setCrop({ ...crop, ...next });
  };
  const keep = async () => {
    setIsKeeping(true);
    try {
      const blob = await new Promise<Blob | null>((resolve) => canvas.current?.toBlob(resolve, 'image/jpeg', 0.9));
      if (!blob) throw new Error('The picture could not be read: choose it again.');
      const to = { params: { id: visitId }, query: { pose, phase } };
      const answer = await upload('POST /api/visits/{id}/photos', to, blob);
      onKept(answer.photo);
    } catch (error) {
      setTrouble(sentenceOf(error));
      setIsKeeping(false);
    }
  };
  return (
    <div className={styles['intake']}>
      <div className={styles['stage']}>
        {picture ? (
          <canvas
            ref={canvas}
            width={kept.width}
            height={kept.height}
            tabIndex={0}
            role="img"
            aria-label={measureWords.theNewPictureArrowKeysMove}
            onKeyDown={onKeyDown}
          />
        ) : (
          <p>{last ? measureWords.standAsInTheLastPicture : measureWords.noPictureOfThisViewYet}</p>
        )}
        {last && (
          <img
            className={styles['ghost']}
            src={`/api/clients/${clientId}/files/${last.fileId}`}
            alt={measureWords.lastTime2(last.pose)}
          />
        )}
      </div>
      {picture && (
        <div className={styles['fit']} role="group" aria-label={measureWords.fitThePicture}>
          <Button
            aria-label={measureWords.larger}
            onClick={() => setCrop({ ...crop, zoom: crop.zoom * zoomStep ** 3 })}
          >
            +
          </Button>
          <Button
            aria-label={measureWords.smaller}
            onClick={() => setCrop({ ...crop, zoom: crop.zoom / zoomStep ** 3 })}
          >
            −
          </Button>
          <Button aria-label={measureWords.left3} onClick={() => setCrop({ ...crop, x: crop.x - 3 * moveShare })}>
            ←
          </Button>
          <Button aria-label={measureWords.right3} onClick={() => setCrop({ ...crop, x: crop.x + 3 * moveShare })}>
            →
          </Button>
          <Button aria-label={measureWords.up} onClick={() => setCrop({ ...crop, y: crop.y - 3 * moveShare })}>
            ↑
          </Button>
          <Button aria-label={measureWords.down} onClick={() => setCrop({ ...crop, y: crop.y + 3 * moveShare })}>
            ↓
          </Button>
        </div>
      )}
      <label className={styles['file']}>
        {picture ? measureWords.chooseAnother : measureWords.takeOrChooseAPicture}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="visually-hidden"
          onChange={(event) => choose(event.target.files?.[0])}
        />
      </label>
      {picture && (
        <Button onClick={() => void keep()} disabled={isKeeping}>
          {isKeeping ? measureWords.keeping : measureWords.keepThisPicture}
        </Button>
      )}
      {trouble && (
        <p className={styles['trouble']} role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}
