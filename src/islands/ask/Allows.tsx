import { useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import type { judgeVisitCheck } from '../../core/visit/visit-check';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { ConsentForm } from '../consent/ConsentForm';
import shared from './AskView.module.css';
import styles from './Allows.module.css';
import { Decisions } from './Decisions';
import type { useAsk } from './useAsk';

const actionTitle = {
  'stop-urgent': 'Stop. Help is needed now.',
  'refer-same-day': 'Not today: a physician first, today.',
  postpone: 'Not today: another day.',
} as const;

const adultFrom = 18;

/** What the answers allow, and the way on; what stops the visit, and what to say; the consent. */
export function Allows({
  view,
  asking,
  outcome,
  openWork,
  onOpenWork,
  onSigned,
}: {
  readonly view: AskView;
  readonly asking: ReturnType<typeof useAsk>;
  readonly outcome: ReturnType<typeof judgeVisitCheck>;
  readonly openWork: string | undefined;
  readonly onOpenWork: (work: string | undefined) => void;
  readonly onSigned: () => void;
}) {
  const { visit } = view;
  const { state, keeping } = asking;
  const [isSigning, setIsSigning] = useState(false);
  const [flag] = outcome.stoppedBy;
  const isMeasured = visit.focus.some((id) => /^(leg|arm)\./.test(id));
  return (
    <aside className={styles['aside']} aria-label="What this allows">
      {flag ? (
        <div className={styles['stop']} role="alert">
          <h2>{actionTitle[flag.action]}</h2>
          <p>Say to the client:</p>
          <blockquote>{flag.say}</blockquote>
          <p>
            The visit is stopped and nothing is planned. If the answer was a slip, correct it; both stay in the record.
          </p>
        </div>
      ) : (
        outcome.kind === 'go' && (
          <ButtonLink look="filled" href={`/visits/${visit.id}/${isMeasured ? 'measure' : 'plan'}`}>
            {isMeasured ? 'Go on to measuring' : 'Go on to the plan'}
          </ButtonLink>
        )
      )}
      <div className={shared['heading']}>
        <h2>What this allows</h2>
        <span aria-live="polite">{keeping.kind === 'saving' ? 'storing…' : 'updates as you answer'}</span>
      </div>
      {keeping.kind === 'trouble' && (
        <p role="alert" className={styles['trouble']}>
          {keeping.text}
        </p>
      )}
      <p className={styles['soft']}>
        {visit.therapist.name} holds: {view.qualifications.join(', ') || 'nothing on record'}.
      </p>
      {state.contradictions.map((pair) => (
        <p key={pair} className={styles['trouble']} role="status">
          These cannot both be so: {pair}. Both count until one is taken back.
        </p>
      ))}
      <Decisions state={state} asking={asking} open={openWork} onOpen={onOpenWork} />
      <h3>Consent</h3>
      <p className={styles['soft']}>
        {state.consent
          ? `Signed by ${state.consent.name}, ${state.consent.signedAt.slice(0, 10)}.${state.consent.isDue ? ' Due again: a year has passed, or the wording has changed.' : ''}`
          : 'Not signed yet.'}
      </p>
      <p className={styles['links']}>
        <Button onClick={() => setIsSigning(true)}>{state.consent ? 'Sign again' : 'Read and sign'}</Button>
        <a href={`/api/visits/${visit.id}/referral.pdf`} download>
          Referral note (PDF)
        </a>
      </p>
      <Dialog title="Consent" isOpen={isSigning} onClose={() => setIsSigning(false)}>
        <ConsentForm
          wording={view.wording}
          clientName={visit.client.name}
          isMinor={visit.client.age !== null && visit.client.age < adultFrom}
          onSign={(body) => asking.signConsent(body)}
          onDone={() => {
            setIsSigning(false);
            onSigned();
          }}
        />
      </Dialog>
    </aside>
  );
}
