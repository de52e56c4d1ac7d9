import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TherapistView } from '../../contracts/people-views';
import type { VisitView } from '../../contracts/visit-views';
import { capitalise, formatCost, list, shortLabel } from '../../core/drainage/wording';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import styles from './PlanView.module.css';
import { schoolInWords, SchoolFields } from './SchoolFields';
import { type PlanHandle, wishOf } from './usePlan';

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanHandle;
  readonly therapists: readonly TherapistView[];
  readonly say: (text: string, tone?: 'note' | 'error') => void;
}

/** Beside the course: ways out compared, what is rejected, time, school, and what the decision is. */
export function PlanSide({ visit, plan, therapists, say }: Props) {
  const { view, steps } = plan;
  const [isChanging, setIsChanging] = useState(false);
  const total = steps.reduce((sum, step) => sum + step.seconds, 0);
  const budget = view.drainageCase.minutes * 60;
  const { school } = view.drainageCase;
  const isForbidden = view.plan.decision === 'refer' || view.plan.decision === 'stop';
  const certified = therapists.find(
    (t) => t.id !== visit.therapist.id && t.qualifications.includes('lymphoedema-certified'),
  );
  const needsCertificate = view.plan.reasons.some(
    (reason) => reason.rule === 'qualification' || (reason.rule === 'cancer-history' && isForbidden),
  );
  const handOver = async (therapist: TherapistView) => {
    try {
      await send('POST', `/api/visits/${visit.id}/handover`, { therapistId: therapist.id });
      window.location.reload();
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };

  return (
    <aside className={styles['side']} aria-label="Ways out, time and school">
      {isForbidden && (
        <section className={styles['refer']} role="alert">
          <h2>Not to be carried out</h2>
          {view.plan.reasons
            .filter((reason) => ['qualification', 'no-exit', 'cancer-history'].includes(reason.rule))
            .map((reason) => (
              <p key={reason.text}>{reason.text}</p>
            ))}
          {needsCertificate && certified && (
            <Button onClick={() => void handOver(certified)}>Hand over to {certified.name}</Button>
          )}
        </section>
      )}
      <section>
        <h2>Ways out</h2>
        {view.plan.exits.map((exit, i) => (
          <div key={exit.to} className={styles['exit']}>
            <div>
              <strong>{capitalise(shortLabel(anatomy, exit.to))}</strong>
              <strong className={styles['share']}>{Math.round(exit.share * 100)} %</strong>
            </div>
            <p>{exit.why.replace(/^Led /, '')}</p>
            <p className={styles['cost']}>
              about {formatCost(exit.cost)} {exit.cost === 1 ? 'hand’s width' : 'hand’s widths'} of skin
            </p>
            <div className={styles['bar']} data-tone={i === 0 ? 'moss' : 'river'} aria-hidden="true">
              <i style={{ width: `${exit.share * 100}%` }} />
            </div>
          </div>
        ))}
        {view.plan.rejected.map((rejected) => (
          <div key={rejected.to} className={styles['rejected']}>
            <strong>Not {shortLabel(anatomy, rejected.to)}</strong>
            <p>{rejected.why}</p>
          </div>
        ))}
      </section>
      <section>
        <h2>Time</h2>
        <p>
          <strong>{formatClock(total)}</strong> of {formatClock(budget)} min.{' '}
          {timeWords(view.plan.fits, total, budget, view.drainageCase.fill)}
        </p>
        {view.plan.reasons
          .filter((reason) => reason.rule === 'time')
          .map((reason) => (
            <p key={reason.text} className={styles['soft']}>
              {reason.text}
            </p>
          ))}
      </section>
      <section>
        <h2>School</h2>
        <p className={styles['soft']}>
          {capitalise(schoolInWords(school))}{' '}
          <Button look="link" onClick={() => setIsChanging(true)}>
            Change time or school
          </Button>
        </p>
      </section>
      {view.plan.reasons.some(
        (reason) => reason.rule !== 'time' && !(isForbidden && ['qualification', 'no-exit'].includes(reason.rule)),
      ) && (
        <section>
          <h2>What shaped it</h2>
          <ul className={styles['reasons']}>
            {view.plan.reasons
              .filter(
                (reason) =>
                  reason.rule !== 'time' && !(isForbidden && ['qualification', 'no-exit'].includes(reason.rule)),
              )
              .map((reason) => (
                <li key={reason.text}>{reason.text}</li>
              ))}
          </ul>
        </section>
      )}
      {view.plan.waiting.length > 0 && (
        <section>
          <h2>Has to wait</h2>
          <p className={styles['soft']}>{capitalise(list(view.plan.waiting.map((id) => shortLabel(anatomy, id))))}.</p>
        </section>
      )}
      <ChangeWish plan={plan} isOpen={isChanging} onClose={() => setIsChanging(false)} />
    </aside>
  );
}

function timeWords(fits: boolean, totalSeconds: number, budgetSeconds: number, fill: boolean): string {
  if (!fits) return 'It does not all fit.';
  if (totalSeconds > budgetSeconds - 120) return 'It fits.';
  return fill
    ? 'Draining has all the repetitions that help; the rest is free for rest.'
    : 'It ends early; fill the time if you like.';
}

function ChangeWish({
  plan,
  isOpen,
  onClose,
}: {
  readonly plan: PlanHandle;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}) {
  const [wish, setWish] = useState(wishOf(plan.view.drainageCase));
  const [minutes, setMinutes] = useState(String(wish.minutes));
  const [error, setError] = useState<string>();
  return (
    <Dialog title="Time and school of this plan" isOpen={isOpen} onClose={onClose}>
      <form
        className={styles['wish']}
        onSubmit={(event) => {
          event.preventDefault();
          const value = Number(minutes);
          if (!(value >= 1 && value <= 480)) {
            setError('A visit lasts 1 to 480 minutes.');
            return;
          }
          plan.replan({ ...wish, minutes: value });
          onClose();
        }}
      >
        <Field
          label="Minutes"
          type="number"
          inputMode="numeric"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
          error={error}
        />
        <Choice
          label="If time is left over"
          options={[
            { value: 'early', text: 'end early' },
            { value: 'fill', text: 'more repetitions' },
          ]}
          value={wish.fill ? 'fill' : 'early'}
          onChange={(value) => setWish((old) => ({ ...old, fill: value === 'fill' }))}
        />
        <SchoolFields school={wish.school} onChange={(school) => setWish((old) => ({ ...old, school }))} />
        <p className={styles['soft']}>Planning again puts the steps back into the planned order.</p>
        <div className={styles['buttons']}>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="filled" type="submit">
            Plan again
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
