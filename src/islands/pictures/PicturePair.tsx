import { useState } from 'react';
import type { PhotoView } from '../../contracts/picture-views';
import type { ClientId } from '../../core/ids';
import { lightOfPair } from '../../core/pictures/light';
import { Choice } from '../../ui/choice/Choice';
import { Grid } from './Grid';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';
import { sourceOf } from './source';

interface Props {
  readonly clientId: ClientId;
  readonly earlier: PhotoView;
  readonly later: PhotoView;
}

const nameOf = ({ date, phase }: PhotoView) => picturesWords.named(date, phase);

/** Two pictures of one view: side by side, or one over the other under a slider; with a grid, and whether their light compares. */
export function PicturePair({ clientId, earlier, later }: Props) {
  const [mode, setMode] = useState<'side' | 'slider'>('slider');
  const [hasGrid, setHasGrid] = useState(false);
  const shown = (photo: PhotoView) => (
    <img
      src={sourceOf(clientId, photo)}
      alt={picturesWords.picture(photo.pose, nameOf(photo))}
      width={900}
      height={1200}
      loading="lazy"
    />
  );
  const light = lightOfPair(earlier.light, later.light);
  return (
    <div className={styles['comparison']}>
      <div className={styles['how']}>
        <Choice
          label={picturesWords.compare}
          isLabelHidden
          options={[
            { value: 'slider', text: picturesWords.slider },
            { value: 'side', text: picturesWords.sideBySide },
          ]}
          value={mode}
          onChange={setMode}
        />
        <label className={styles['check']}>
          <input type="checkbox" checked={hasGrid} onChange={({ target }) => setHasGrid(target.checked)} />{' '}
          {picturesWords.grid}
        </label>
      </div>
      {mode === 'side' ? (
        <div className={styles['pair']}>
          {[earlier, later].map((photo) => (
            <figure key={photo.id}>
              <div className={styles['framed']}>
                {shown(photo)}
                {hasGrid && <Grid />}
              </div>
              <figcaption>{nameOf(photo)}</figcaption>
            </figure>
          ))}
        </div>
      ) : (
        <Slider names={[nameOf(earlier), nameOf(later)]} hasGrid={hasGrid}>
          {[shown(later), shown(earlier)]}
        </Slider>
      )}
      {light && (
        <p className={styles['light']} data-same={light.word === 'same'}>
          {light.words}
        </p>
      )}
    </div>
  );
}

interface SliderProps {
  readonly names: readonly [string, string];
  readonly hasGrid: boolean;
  /** The one below, and the one that is drawn over it from the left. */
  readonly children: readonly [React.ReactNode, React.ReactNode];
}

function Slider({ names: [left, right], hasGrid, children: [below, above] }: SliderProps) {
  const [share, setShare] = useState(50);
  return (
    <div className={styles['over']}>
      <div className={styles['framed']}>
        {below}
        <div className={styles['above']} style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}>
          {above}
        </div>
        {hasGrid && <Grid />}
        <span style={{ left: `${share}%` }} aria-hidden="true" />
        <input
          type="range"
          min={0}
          max={100}
          value={share}
          aria-label={picturesWords.howMuchOfTheEarlier}
          onChange={(event) => setShare(Number(event.target.value))}
        />
      </div>
      <p className={styles['names']}>
        <span>{left}</span>
        <span>{right}</span>
      </p>
    </div>
  );
}
