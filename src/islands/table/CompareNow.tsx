import type { Comparison } from '../../core/table/compare';
import { markWords } from '../../core/table/marks';
import type { MarkSide } from '../../core/table/mark-kinds';
import { BodyMap } from '../../ui/body-map/BodyMap';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { bestDrawing } from '../../ui/body-map/views';
import { Kbd } from '../../ui/kbd/Kbd';
import styles from './CompareNow.module.css';
import { SideButtons } from './SideButtons';
import { tableWords } from './table.words';

interface Props {
  readonly comparison: Comparison;
  readonly onSeen: (side: MarkSide) => void;
  readonly onClose: () => void;
}

/** Both halves at once, large enough from where one stands: what is seen is one key, and goes into the record. */
export function CompareNow({ comparison: { asks, places }, onSeen, onClose }: Props) {
  const drawing = bestDrawing(places);
  const regions = new Map<string, RegionMark>(places.map((id) => [id, { tone: 'active', words: tableWords.here }]));
  return (
    <div className={styles['compare']} role="group" aria-label={tableWords.compareNow}>
      <p role="status">
        {markWords[asks].name} <small>{tableWords.theSameLightTheSameHeight}</small>
      </p>
      <div className={styles['body']}>
        <BodyMap
          view={drawing.view}
          side={drawing.side}
          label={tableWords.compareNow}
          regions={regions}
          zoomTo={places}
        />
      </div>
      <div className={styles['choices']}>
        <SideButtons both={tableWords.alike} onSide={onSeen} />
      </div>
      <button type="button" className={styles['close']} onClick={onClose}>
        <Kbd>V</Kbd> {tableWords.backToTheWork}
      </button>
    </div>
  );
}
