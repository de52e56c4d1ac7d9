import { compareLight, type Light, type LightWord } from '../../core/pictures/light';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';

interface Props {
  readonly before: Light | null | undefined;
  readonly now: Light | null | undefined;
}

/** Whether the new picture is taken in the light of the last one, while that can still be changed. */
export function LightLine({ before, now }: Props) {
  if (!now) return null;
  if (!before)
    return (
      <p className={styles['soft']}>{picturesWords.lightNow(Math.round((now.leftPercent + now.rightPercent) / 2))}</p>
    );
  const { word, points } = compareLight(before, now);
  return (
    <p className={styles['light']} data-same={word === 'same'} role="status">
      {lightText(word, Math.round(points))}
    </p>
  );
}

function lightText(word: LightWord, points: number): string {
  if (word === 'darker') return picturesWords.darkerThanLastTime(points);
  if (word === 'brighter') return picturesWords.brighterThanLastTime(points);
  return word === 'same' ? picturesWords.asLastTime : picturesWords.fromAnotherSide;
}
