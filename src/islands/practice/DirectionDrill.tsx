import { type PointerEvent, useRef } from 'react';
import type { Figure } from '../../core/figure/figure';
import { BodyMap } from '../../ui/body-map/BodyMap';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

const turnBy = 15;
const arrowLength = 60;

/** One stroke, drawn on the enlarged place or turned by keys. */
export function DirectionDrill({ question, onChange, best }: DrillProps<'direction'>) {
  const [degrees, setDegrees] = useKept<number | null>('degrees', null);
  const from = useRef<readonly [number, number]>(undefined);
  const put = (next: number) => {
    const whole = ((Math.round(next) % 360) + 360) % 360;
    setDegrees(whole);
    onChange({ degrees: whole });
  };
  const turn = (by: number) => put((degrees ?? 0) + by);
  useShortcuts(
    best
      ? []
      : [
          { keys: ['←', '→'], words: practiceWords.turnTheStroke },
          { keys: ['←'], act: () => turn(-turnBy) },
          { keys: ['→'], act: () => turn(turnBy) },
        ],
  );
  const [x, y] = question.at;
  const arrow = (angle: number, name: string) => (
    <g transform={`translate(${x} ${y}) rotate(${angle})`} className={styles[name]}>
      <path d={`M0 0H${arrowLength}M${arrowLength - 14} -9L${arrowLength} 0L${arrowLength - 14} 9`} />
    </g>
  );
  const onDown = ({ clientX, clientY }: PointerEvent) => (from.current = [clientX, clientY]);
  const onUp = ({ clientX, clientY }: PointerEvent) => {
    const [startX, startY] = from.current ?? [clientX, clientY];
    from.current = undefined;
    if (best || Math.hypot(clientX - startX, clientY - startY) < 12) return;
    put((Math.atan2(clientY - startY, clientX - startX) * 180) / Math.PI);
  };
  return (
    <div className={styles['withBody']}>
      <div
        className={styles['pad']}
        role="slider"
        tabIndex={0}
        aria-label={practiceWords.strokePad(degrees ?? 0)}
        aria-valuemin={0}
        aria-valuemax={359}
        aria-valuenow={degrees ?? 0}
        onPointerDown={onDown}
        onPointerUp={onUp}
      >
        <BodyMap
          view={question.view}
          side={question.isMirrored ? 'right' : 'left'}
          label={practiceWords.whichWay(question.placeLabel)}
          zoomTo={[question.place]}
          regions={new Map([[question.place, { tone: 'active', words: question.placeLabel }]])}
        >
          {(_figure: Figure) => (
            <>
              {degrees !== null && arrow(degrees, 'own')}
              {best && arrow(best.degrees, 'bestStroke')}
            </>
          )}
        </BodyMap>
      </div>
      <div className={styles['fields']}>
        <p>
          <strong>{practiceWords.whichWay(question.placeLabel)}</strong>{' '}
          {question.towardLabel !== null && practiceWords.towards(question.towardLabel)}
        </p>
        <p className={styles['soft']}>{practiceWords.drawIt}</p>
      </div>
    </div>
  );
}
