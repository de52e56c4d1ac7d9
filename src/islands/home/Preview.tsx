import { homeWords } from './home.words';
import { useState } from 'react';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import { linesOf } from '../../catalogue/homecare/lines';
import type { HomeStep } from '../../core/homecare/sheet';
import { BodyMap } from '../../ui/body-map/BodyMap';
import type { PebbleMark, RegionMark } from '../../ui/body-map/map-marks';
import { bestDrawing } from '../../ui/body-map/views';
import { Pebble } from '../../ui/pebble/Pebble';
import { anatomy } from '../../catalogue/anatomy';
import shared from './HomeSheetView.module.css';
import styles from './Preview.module.css';
import type { DrawnUp } from './useDrawnUp';

interface Props {
  readonly drawn: DrawnUp;
  readonly language: string;
  readonly title: string;
}

/** The sheet as it would be given: the part at hand on the body, all steps beside it, what it does without. */
export function Preview({ drawn, language, title }: Props) {
  const [chosen, setChosen] = useState(0);
  const words = homeWordsOf(language);
  const { sheet, errors, isDrawing } = drawn;
  if (!sheet)
    return (
      <div className={styles['empty']} role="status">
        <h2>{title}</h2>
        {isDrawing ? <p>{homeWords.drawingItUp}</p> : <p>{errors[0]?.message ?? homeWords.nothingToShow}</p>}
      </div>
    );
  const lines = sheet.parts.flatMap((one) => linesOf(words, sheet, one));
  /** Paper numbers lines, so the picture does, too. */
  const numberOf = (step: HomeStep) => lines.findIndex(({ steps }) => steps.includes(step)) + 1;
  const at = Math.min(chosen, sheet.parts.length - 1);
  const part = sheet.parts[at];
  const near = part?.steps.filter(({ kind }) => kind !== 'carry') ?? [];
  const shown = near.length > 0 ? near : (part?.steps ?? []);
  const places = shown.flatMap((step) => step.places);
  const ways = shown.flatMap((step) => (step.toward ? [...step.via, step.toward] : []));
  const drawing = bestDrawing(places);
  const regions = new Map<string, RegionMark>(
    places.filter((id) => anatomy.territories.has(id)).map((id) => [id, { tone: 'drain', words: homeWords.worked }]),
  );
  const pebbles = shown.flatMap((step): PebbleMark[] =>
    step.places.map((place) => ({ key: `${step.id} ${place}`, place, number: numberOf(step), kind: step.kind })),
  );
  return (
    <div className={styles['preview']} data-drawing={isDrawing || undefined}>
      <div className={styles['map']}>
        <BodyMap
          view={drawing.view}
          side={drawing.side}
          label={part ? words.parts[part.id] : ''}
          regions={regions}
          nodes={new Map()}
          signs={[]}
          pebbles={pebbles}
          zoomTo={[...places, ...ways]}
          routes={shown.flatMap((step) =>
            step.toward
              ? [{ key: step.id, path: [step.places[0] ?? '', ...step.via, step.toward], tone: 'moss' as const }]
              : [],
          )}
        />
      </div>
      <div className={styles['steps']}>
        <h2>{words.routines[sheet.routine].title}</h2>
        <p className={shared['soft']}>
          {homeWords.steps(lines.length, words.page.minutes(Math.max(1, Math.round(sheet.seconds / 60))))}
        </p>
        {sheet.parts.map((one, i) => (
          <section key={`${one.id} ${i}`} data-on={i === at || undefined}>
            <h3>
              <button type="button" onClick={() => setChosen(i)} aria-pressed={i === at}>
                {words.parts[one.id]}
              </button>
            </h3>
            <ol>
              {linesOf(words, sheet, one).map(({ steps: [step], title, count }) => (
                <li key={step?.id}>
                  {step && <Pebble kind={step.kind} number={numberOf(step)} />}
                  <span>
                    {title} <b>{count}</b>
                  </span>
                </li>
              ))}
            </ol>
          </section>
        ))}
        {sheet.leftOut.length > 0 && (
          <details>
            <summary>{homeWords.leftOut(sheet.leftOut.length)}</summary>
            <ul className="marked-list">
              {sheet.leftOut.map(({ what, why }) => (
                <li key={`${what} ${why}`}>
                  {what}: {why}
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </div>
  );
}
