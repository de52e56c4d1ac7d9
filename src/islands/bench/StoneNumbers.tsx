import { benchWords } from './bench.words';
import type { Seconds } from '../../core/quantities';
import styles from './StoneNumbers.module.css';
import type { useStoneAnswer } from './useStoneAnswer';

type Answer = ReturnType<typeof useStoneAnswer>;

const riskWords = {
  none: benchWords.withinTheLimits,
  caution: benchWords.withCaution,
  stop: benchWords.notSo,
} as const;

function long(seconds: Seconds): string {
  if (seconds < 60) return `${Math.floor(seconds)} s`;
  const minutes = benchWords.min(Math.floor(seconds / 60));
  return seconds % 60 === 0 ? minutes : `${minutes} ${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
}

/** How long it may lie and glide, large, with the reason. */
export function StoneNumbers({
  answer,
  cloths,
  isCold,
  flip,
  tooWarm,
}: {
  readonly answer: Answer;
  readonly cloths: string;
  readonly isCold: boolean;
  readonly flip: boolean;
  /** Why this client is not to be touched with it, though practice would allow it. */
  readonly tooWarm: string;
}) {
  if (!answer) return <div className={styles['numbers']} aria-busy="true" />;
  const { contact, resting, glideSeconds } = answer;
  return (
    <div className={styles['numbers']} role="status" data-risk={tooWarm ? 'stop' : contact.burnRisk}>
      <p className={styles['risk']}>
        {tooWarm || riskWords[contact.burnRisk]}
        <span>{benchWords.skinAtMostBelowIt(contact.skinSurfacePeakC.toFixed(1), contact.basalPeakC.toFixed(1))}</span>
      </p>
      {!isCold && (
        <p>
          <strong>{long(resting.seconds)}</strong>
          {benchWords.mayLieStillOn} {cloths}. {resting.why}
        </p>
      )}
      <p>
        <strong>{glideSeconds === null ? benchWords.longerThanAnHour : long(glideSeconds)}</strong>
        {benchWords.glidingBeforeItIsNoLonger} {isCold ? benchWords.cool : benchWords.warm},{' '}
        {flip ? benchWords.turnedOnce : benchWords.notTurned}
      </p>
      <p>
        <strong>{contact.interfaceC.toFixed(1)}°</strong>
        {benchWords.feltAtTheFirstTouchOf}
      </p>
    </div>
  );
}

/** What the chart shows, for those who do not see it. */
export function chartWords(title: string, answer: Answer): string {
  if (!answer) return title;
  const { contact } = answer;
  return benchWords.theSkinComesToDegreesThe(title, contact.skinSurfacePeakC.toFixed(1), contact.basalPeakC.toFixed(1));
}
