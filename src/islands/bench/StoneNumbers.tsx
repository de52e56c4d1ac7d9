import type { Seconds } from '../../core/quantities';
import styles from './StoneNumbers.module.css';
import type { useStoneAnswer } from './useStoneAnswer';

type Answer = ReturnType<typeof useStoneAnswer>;

const riskWords = { none: 'Within the limits', caution: 'With caution', stop: 'Not so' } as const;

function long(seconds: Seconds): string {
  if (seconds < 60) return `${Math.floor(seconds)} s`;
  const minutes = `${Math.floor(seconds / 60)} min`;
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
        <span>
          skin at most {contact.skinSurfacePeakC.toFixed(1)}°, below it {contact.basalPeakC.toFixed(1)}°
        </span>
      </p>
      {!isCold && (
        <p>
          <strong>{long(resting.seconds)}</strong>
          may lie still on {cloths}. {resting.why}
        </p>
      )}
      <p>
        <strong>{glideSeconds === null ? 'longer than an hour' : long(glideSeconds)}</strong>
        gliding before it is no longer {isCold ? 'cool' : 'warm'}, {flip ? 'turned once' : 'not turned'}
      </p>
      <p>
        <strong>{contact.interfaceC.toFixed(1)}°</strong>
        felt at the first touch of bare skin
      </p>
    </div>
  );
}

/** What the chart shows, for those who do not see it. */
export function chartWords(title: string, answer: Answer): string {
  if (!answer) return title;
  const { contact } = answer;
  return `${title}: the skin comes to ${contact.skinSurfacePeakC.toFixed(1)} degrees, the layer below it to ${contact.basalPeakC.toFixed(1)}`;
}
