import { tableWords } from './table.words';
import type { VisitId } from '../../core/ids';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import type { Sound } from './conducting';
import { Beads } from './pace';
import styles from './TableView.module.css';
import { TouchKey } from './TouchKey';
import type { useTable } from './useTable';

interface Props {
  readonly visitId: VisitId;
  readonly table: ReturnType<typeof useTable>;
  readonly sound: Sound;
  readonly isByClock: boolean;
  /** Whether all is saved, and whether the view opens without the network. */
  readonly kept: readonly [string, string];
  readonly onSound: () => void;
  readonly onSetSound: () => void;
  readonly onClock: () => void;
}

const soundWords: Readonly<Record<Sound, string>> = {
  silent: tableWords.silent,
  beats: tableWords.beatSoundOn,
  voice: tableWords.aVoice,
};

/** How far the treatment is, and its keys for a finger. */
export function TableFoot({ visitId, table, sound, isByClock, kept, onSound, onSetSound, onClock }: Props) {
  const { steps, index, state, goOn, goBack, pause, drop } = table;
  const isReady = state.status === 'ready';
  return (
    <footer className={styles['foot']}>
      <Beads steps={steps} index={index} outcomes={state.outcomes} />
      <div className={styles['keys']}>
        <TouchKey onPress={() => goOn('end')} name={isReady ? 'begin' : 'next'} keyName="Space" wide />
        <TouchKey onPress={goBack} name="back" keyName="PgUp" />
        <TouchKey onPress={pause} name={state.status === 'paused' ? tableWords.goOn : 'pause'} keyName="P" />
        <TouchKey onPress={() => goOn('skip')} name="skip" keyName="S" />
        {/* Where drops are counted there is no pace to beat; B and C stay on the keyboard. */}
        {drop && <TouchKey onPress={() => drop(1)} name={tableWords.aDrop} keyName="D" wide />}
        {drop && <TouchKey onPress={() => drop(-1)} name={tableWords.oneTooMany} keyName="Z" />}
        {!drop && (
          <>
            <TouchKey onPress={onSound} name={soundWords[sound]} keyName="B" />
            {sound === 'voice' && <TouchKey onPress={onSetSound} name={tableWords.how} keyName="H" />}
            <TouchKey onPress={onClock} name={isByClock ? tableWords.byTheClock : tableWords.byHand} keyName="C" />
          </>
        )}
        <span className={styles['kept']} role="status">
          {kept[0]}
          <small>{kept[1]}</small>
        </span>
        <Shortcuts />
        <a href={`/visits/${visitId}/plan`}>{tableWords.leave}</a>
      </div>
    </footer>
  );
}
