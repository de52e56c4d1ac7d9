import { tableWords } from './table.words';
import { anatomy } from '../../catalogue/anatomy';
import type { TableStones } from '../../contracts/stone-views';
import type { Step } from '../../core/drainage/step';
import { pressureInWords } from '../../core/drainage/step-words';
import type { StoneCue } from '../../core/stones/cues';
import { shortHowOf, type TableStep, titleOf } from '../../core/table/table-step';
import { Kbd } from '../../ui/kbd/Kbd';
import { BathWarning } from './BathWarning';
import shared from './TableView.module.css';
import styles from './Words.module.css';

/** Words that would fill the screen are set smaller, so that the cue still shows. */
const longTitle = 18;
const longWay = 70;
const longNotes = 90;

interface Props {
  readonly step: TableStep;
  readonly place: { readonly number: number; readonly of: number };
  readonly isReady: boolean;
  /** A technique that was just stopped for pain, with all that went with it. */
  readonly stopped: readonly TableStep[];
  /** Every step is said, and asked about, before it is done. */
  readonly isSaidFirst?: boolean;
  readonly isAsking: boolean;
  readonly stones: TableStones;
  readonly onBathTrouble: (words: string | undefined) => void;
  readonly cue: (StoneCue & { readonly inS: number }) | undefined;
  readonly oilName: string | undefined;
  /** What hands found here at the last visit. */
  readonly foundLastTime: readonly string[];
}

/** What to do now, in words: before it what changes, what was stopped, what to ask, which stone. */
export function Words({
  step,
  place,
  isReady,
  stopped,
  isSaidFirst,
  isAsking,
  stones,
  onBathTrouble,
  cue,
  oilName,
  foundLastTime,
}: Props) {
  const title = titleOf(anatomy, step);
  const how = shortHowOf(anatomy, step);
  const [first] = stopped;
  const notes = step.told ? step.told.cue.length + step.told.note.length : 0;
  const isTold = Boolean(cue ?? first) || (step.changes?.length ?? 0) > 0;
  const isFull = isTold || isSaidFirst || isAsking || notes > longNotes;
  return (
    <main id="main" className={styles['main']} data-full={isFull || undefined} aria-live="polite">
      <p className={styles['kind']}>
        {step.told ? step.told.block : kindWords[step.kind]} {tableWords.step2} {place.number} {tableWords.of}{' '}
        {place.of}
        {isReady && tableWords.notBegun}
      </p>
      {step.changes && step.changes.length > 0 && (
        <p className={styles['change']} role="status">
          {step.changes.join(' ')}
        </p>
      )}
      {first && (
        <p className={shared['cue']} role="alert">
          <strong>{tableWords.stopped}</strong> {titleOf(anatomy, first)}{' '}
          {stopped.length > 1 ? tableWords.isOutOfMoreOfThe(stopped.length - 1) : tableWords.doesNotComeAgain}
          {tableWords.askTheClientUPutsIt}
        </p>
      )}
      {isSaidFirst && (
        <p className={styles['ask']} role="status">
          {tableWords.sayWhatComesNowAndAsk}
        </p>
      )}
      {isAsking && (
        <p className={styles['ask']} role="status">
          <Kbd>A</Kbd> {tableWords.askNowIsThePressureRight} <Kbd>6</Kbd> {tableWords.lighter} <Kbd>7</Kbd>{' '}
          {tableWords.deeper}
        </p>
      )}
      {stones.hotBathC !== null && <BathWarning bathC={stones.hotBathC} onTrouble={onBathTrouble} />}
      {cue && (
        <p className={shared['cue']} role="status">
          <strong>{cue.inS > 0 ? `in ${cue.inS} s` : tableWords.now}</strong> {cue.words}
        </p>
      )}
      <h1 data-long={title.length > longTitle || undefined}>{title}</h1>
      <p className={styles['direction']} data-long={how.length > longWay || undefined}>
        {how}
      </p>
      <p className={styles['pressure']}>
        {step.told ? `${step.told.cue} ${step.told.note}` : pressureInWords(step.pressure)} {step.cautions.join(' ')}
      </p>
      {foundLastTime.length > 0 && (
        <p className={styles['tool']}>{tableWords.lastTimeHere(foundLastTime.join(', '))}</p>
      )}
      {step.told?.tool && <p className={styles['tool']}>{tableWords.withThe(step.told.tool)}</p>}
      {oilName && !step.told?.layer && <p className={styles['tool']}>{tableWords.with(oilName)}</p>}
    </main>
  );
}

const kindWords: Readonly<Record<Step['kind'], string>> = {
  breathe: tableWords.breathe,
  clear: tableWords.clear,
  prepare: tableWords.prepare,
  soften: tableWords.soften,
  drain: tableWords.drain,
  carry: tableWords.carry,
  return: tableWords.returnWord,
  close: tableWords.close,
  turn: tableWords.turn,
};
