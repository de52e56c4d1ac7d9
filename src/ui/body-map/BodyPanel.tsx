import { useState } from 'react';
import type { FigureView } from '../../core/anatomy/place';
import { Choice } from '../choice/Choice';
import { BodyMap, type BodyMapProps } from './BodyMap';
import styles from './BodyPanel.module.css';
import type { DrawingChoice } from './views';
import { bodyMapWords } from './body-map.words';

type Sheet = 'body' | 'face' | 'hand' | 'foot';

interface Props extends Omit<BodyMapProps, 'view' | 'side' | 'zoomTo' | 'onPoint'> {
  /** The drawing to open on. */
  readonly initial: DrawingChoice;
  /** Sheets that can be turned to; all when left out. */
  readonly sheets?: readonly Sheet[];
  /** The large drawing has the companions beside it, also where it is a face. */
  readonly isWide?: boolean;
}

const sheetOf: Readonly<Record<FigureView, Sheet>> = {
  front: 'body',
  back: 'body',
  'face-front': 'face',
  'face-side': 'face',
  hand: 'hand',
  foot: 'foot',
};
const names: Readonly<Record<Sheet, string>> = {
  body: bodyMapWords.body,
  face: bodyMapWords.face,
  hand: bodyMapWords.hands,
  foot: bodyMapWords.feet,
};

/** Drawings of a sheet: the first large, the others beside it. */
const drawings: Readonly<Record<Sheet, readonly (DrawingChoice & { readonly name: string })[]>> = {
  body: [
    { view: 'front', side: 'left', name: 'front' },
    { view: 'back', side: 'left', name: 'back' },
  ],
  face: [
    { view: 'face-front', side: 'left', name: 'front' },
    { view: 'face-side', side: 'left', name: bodyMapWords.leftSide },
    { view: 'face-side', side: 'right', name: bodyMapWords.rightSide },
  ],
  hand: [
    { view: 'hand', side: 'left', name: bodyMapWords.leftHand },
    { view: 'hand', side: 'right', name: bodyMapWords.rightHand },
  ],
  foot: [
    { view: 'foot', side: 'left', name: bodyMapWords.leftFoot },
    { view: 'foot', side: 'right', name: bodyMapWords.rightFoot },
  ],
};

/** The body as it stands at the left of every view: one large drawing, its companions small, and a switch between sheets. */
export function BodyPanel({
  initial,
  sheets = ['body', 'face', 'hand', 'foot'],
  label,
  isWide = false,
  ...map
}: Props) {
  const [sheet, setSheet] = useState<Sheet>(sheetOf[initial.view]);
  const initialIndex = drawings[sheetOf[initial.view]].findIndex(
    (d) => d.view === initial.view && (d.view === 'front' || d.view === 'back' || d.side === initial.side),
  );
  const [main, setMain] = useState(Math.max(0, initialIndex));
  const [pointed, setPointed] = useState<string>();
  const all = drawings[sheet];
  const [large, ...small] = [all[main] ?? all[0], ...all.filter((_, i) => i !== main)] as [
    (typeof all)[number],
    ...(typeof all)[number][],
  ];
  return (
    <div className={styles['panel']} data-sheet={sheet} data-wide={isWide || undefined}>
      {sheets.length > 1 && (
        <div className={styles['switch']}>
          <Choice
            label={bodyMapWords.drawing}
            isLabelHidden
            options={sheets.map((value) => ({ value, text: names[value] }))}
            value={sheet}
            onChange={(next) => {
              setSheet(next);
              setMain(0);
            }}
          />
        </div>
      )}
      <div className={styles['figures']}>
        <div className={styles['large']}>
          <BodyMap
            {...map}
            label={`${label}, ${large.name}`}
            view={large.view}
            side={large.side}
            onPoint={setPointed}
            stand="top"
          />
        </div>
        <div className={styles['others']}>
          {small.map((drawing) => (
            <div key={drawing.name} className={styles['small']}>
              <BodyMap
                {...map}
                label={`${label}, ${drawing.name}`}
                view={drawing.view}
                side={drawing.side}
                onPoint={setPointed}
                stand="foot"
              />
              <button type="button" className={styles['turn']} onClick={() => setMain(all.indexOf(drawing))}>
                {drawing.name}
              </button>
            </div>
          ))}
        </div>
      </div>
      <output className={styles['pointed']}>{pointed ?? '\u00a0'}</output>
    </div>
  );
}
