import { useState } from 'react';
import type { PhotoView } from '../../contracts/picture-views';
import type { ClientId, VisitId } from '../../core/ids';
import type { Pose } from '../../core/pictures/poses';
import { Button } from '../../ui/button/Button';
import { useIsBrowser } from '../../ui/charts/Drawn';
import { sentenceOf } from '../api';
import { upload } from '../upload';
import { Camera, hasCamera } from './Camera';
import { Grid } from './Grid';
import { LightLine } from './LightLine';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';
import { sourceOf } from './source';
import { kept, type Source, useCrop } from './useCrop';

interface Props {
  readonly visitId: VisitId;
  readonly clientId: ClientId;
  readonly phase: 'before' | 'after';
  readonly pose: Pose;
  /** The last picture of the view: shown through the new one, so that angle and size come out the same. */
  readonly last: PhotoView | undefined;
  readonly onKept: (photo: PhotoView) => void;
}

/** How far a press of a button goes, in steps of a key. */
const press = 3;

/** Takes a picture from the camera or a file and fits it to the last one before it is kept. */
export function PictureIntake({ visitId, clientId, phase, pose, last, onKept }: Props) {
  const [source, setSource] = useState<Source>();
  const [isFilming, setIsFilming] = useState(false);
  const [hasGrid, setHasGrid] = useState(true);
  const [trouble, setTrouble] = useState<string>();
  const [isKeeping, setIsKeeping] = useState(false);
  const isBrowser = useIsBrowser();
  const { canvas, light, move, size, onKeyDown } = useCrop(source);

  const choose = (file: File | undefined) => {
    if (!file) return;
    setTrouble(file.size === 0 ? picturesWords.thatFileIsEmpty : undefined);
    if (file.size === 0) return;
    const image = new Image();
    const address = URL.createObjectURL(file);
    image.onload = () => {
      setSource({ image, width: image.naturalWidth, height: image.naturalHeight });
      URL.revokeObjectURL(address);
    };
    image.onerror = () => {
      setTrouble(picturesWords.thatIsNotAPicture);
      URL.revokeObjectURL(address);
    };
    image.src = address;
  };
  const keep = async () => {
    setIsKeeping(true);
    try {
      const blob = await new Promise<Blob | null>((resolve) => canvas.current?.toBlob(resolve, 'image/jpeg', 0.9));
      if (!blob) throw new Error(picturesWords.cannotBeRead);
      const to = { params: { id: visitId }, query: { pose, phase } };
      const answer = await upload('POST /api/visits/{id}/photos', to, blob);
      onKept(answer.photo);
    } catch (error) {
      setTrouble(sentenceOf(error));
      setIsKeeping(false);
    }
  };
  const over = (
    <>
      {last && (
        <img className={styles['ghost']} src={sourceOf(clientId, last)} alt={picturesWords.lastTime(last.pose)} />
      )}
      {hasGrid && <Grid />}
    </>
  );
  return (
    <div className={styles['intake']}>
      {isFilming ? (
        <Camera
          before={last?.light}
          over={over}
          onShot={(shot) => {
            setSource({ image: shot, width: shot.width, height: shot.height });
            setIsFilming(false);
          }}
          onClose={(why) => {
            setTrouble(why);
            setIsFilming(false);
          }}
        />
      ) : (
        <>
          <div className={styles['stage']}>
            {source ? (
              <canvas
                ref={canvas}
                width={kept.width}
                height={kept.height}
                tabIndex={0}
                role="img"
                aria-label={picturesWords.theNewPicture}
                onKeyDown={onKeyDown}
              />
            ) : (
              <p>{last ? picturesWords.standAsInTheLast : picturesWords.noneOfThisViewYet}</p>
            )}
            {over}
          </div>
          {source && <LightLine before={last?.light} now={light} />}
          {source && <Fit move={move} size={size} />}
          {isBrowser && hasCamera() && (
            <Button onClick={() => setIsFilming(true)} look={source ? undefined : 'filled'}>
              {picturesWords.camera}
            </Button>
          )}
          <label className={styles['file']}>
            {source ? picturesWords.chooseAnother : picturesWords.choose}
            <input
              type="file"
              accept="image/*"
              className="visually-hidden"
              onChange={(event) => choose(event.target.files?.[0])}
            />
          </label>
          {source && (
            <Button look="filled" onClick={() => void keep()} disabled={isKeeping}>
              {isKeeping ? picturesWords.saving : picturesWords.save}
            </Button>
          )}
        </>
      )}
      <label className={styles['check']}>
        <input type="checkbox" checked={hasGrid} onChange={({ target }) => setHasGrid(target.checked)} />{' '}
        {picturesWords.grid}
      </label>
      {trouble && (
        <p className={styles['trouble']} role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** The same by pressing as by keys. */
function Fit({ move, size }: Pick<ReturnType<typeof useCrop>, 'move' | 'size'>) {
  const buttons = [
    ['+', picturesWords.larger, () => size(press)],
    ['−', picturesWords.smaller, () => size(-press)],
    ['←', picturesWords.left, () => move(-press, 0)],
    ['→', picturesWords.right, () => move(press, 0)],
    ['↑', picturesWords.up, () => move(0, -press)],
    ['↓', picturesWords.down, () => move(0, press)],
  ] as const;
  return (
    <div className={styles['fit']} role="group" aria-label={picturesWords.fit}>
      {buttons.map(([sign, name, act]) => (
        <Button key={sign} aria-label={name} onClick={act}>
          {sign}
        </Button>
      ))}
    </div>
  );
}
