import { askWords } from './ask.words';
import { useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import type { judgeVisitCheck } from '../../core/visit/visit-check';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { ConsentForm } from '../consent/ConsentForm';
import shared from './AskView.module.css';
import { SaveLine } from '../saving/SaveLine';
import styles from './Allows.module.css';
import { Decisions } from './Decisions';
import type { useAsk } from './useAsk';

const actionTitle = {
  'stop-urgent': askWords.stopHelpIsNeededNow,
  'refer-same-day': askWords.notTodayAPhysicianFirstToday,
  postpone: askWords.notTodayAnotherDay,
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
  const { state, saving } = asking;
  const [isSigning, setIsSigning] = useState(false);
  const [flag] = outcome.stoppedBy;
  const isMeasured = visit.focus.some((id) => /^(leg|arm)\./.test(id));
  return (
    <aside className={styles['aside']} aria-label={askWords.whatThisAllows}>
      {flag ? (
        <div className={styles['stop']} role="alert">
          <h2>{actionTitle[flag.action]}</h2>
          <p>{askWords.sayToTheClient}</p>
          <blockquote>{flag.say}</blockquote>
          <p>{askWords.theVisitIsStoppedAndNothing}</p>
        </div>
      ) : (
        outcome.kind === 'go' && (
          <ButtonLink look="filled" href={`/visits/${visit.id}/${isMeasured ? 'measure' : 'plan'}`}>
            {isMeasured ? askWords.goOnToMeasuring : askWords.goOnToThePlan}
          </ButtonLink>
        )
      )}
      <div className={shared['heading']}>
        <h2>{askWords.whatThisAllows}</h2>
        <SaveLine saving={saving} saved={askWords.updatesAsYouAnswer} />
      </div>
      <p className={styles['soft']}>
        {visit.therapist.name} {askWords.holds} {view.qualifications.join(', ') || askWords.nothingOnRecord}.
      </p>
      {state.contradictions.map((pair) => (
        <p key={pair} className={styles['trouble']} role="status">
          {askWords.theseCannotBothBeSoBoth(pair)}
        </p>
      ))}
      <Decisions state={state} asking={asking} open={openWork} onOpen={onOpenWork} />
      <h3>{askWords.consent}</h3>
      <p className={styles['soft']}>
        {state.consent
          ? askWords.signedBy(
              state.consent.name,
              state.consent.signedAt.slice(0, 10),
              state.consent.isDue ? askWords.dueAgainAYearHasPassed : '',
            )
          : askWords.notSignedYet}
      </p>
      <p className={styles['links']}>
        <Button onClick={() => setIsSigning(true)}>{state.consent ? askWords.signAgain : askWords.readAndSign}</Button>
        <a href={`/api/visits/${visit.id}/referral.pdf`} download>
          {askWords.referralNotePdf}
        </a>
      </p>
      <Dialog title={askWords.consent} isOpen={isSigning} onClose={() => setIsSigning(false)}>
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
