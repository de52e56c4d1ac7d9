import { planWords } from './plan.words';
import type { Seconds } from '../../core/quantities';
import { lazy, Suspense, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TherapistView } from '../../contracts/people-views';
import type { VisitView } from '../../contracts/visit-views';
import { crossingsIn } from '../../core/drainage/crossings';
import { list } from '../../core/drainage/wording';
import { shortLabel } from '../../core/anatomy/place-labels';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import styles from './PlanView.module.css';
import { schoolInWords } from './school-words';
import type { PlanHandle } from './usePlan';
import { useRefresh } from '../visit-head/refresh';
import { WaysOut } from './WaysOut';
import { capitalise } from '../../core/wording/capitalise';

const ChangeWish = lazy(async () => ({ default: (await import('./ChangeWish')).ChangeWish }));

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanHandle;
  readonly therapists: readonly TherapistView[];
  readonly say: (text: string, tone?: 'note' | 'error') => void;
}

/** Beside the course: the ways out, time, school, and what the decision is. */
export function PlanSide({ visit, plan, therapists, say }: Props) {
  const { view, steps } = plan;
  const refresh = useRefresh();
  const [isChanging, setIsChanging] = useState(false);
  const total = steps.reduce((sum, step) => sum + step.seconds, 0);
  const crossings = crossingsIn(anatomy, steps);
  const budget = view.drainageCase.minutes * 60;
  const { school } = view.drainageCase;
  const isForbidden = view.plan.decision === 'refer' || view.plan.decision === 'stop';
  // The time is told above, and what forbids the plan in its own place.
  const toldApart = isForbidden ? ['time', 'qualification', 'no-exit'] : ['time'];
  const shaping = view.plan.reasons.filter(({ rule }) => !toldApart.includes(rule));
  const certified = therapists.find(
    (t) => t.id !== visit.therapist.id && t.qualifications.includes('lymphoedema-certified'),
  );
  const needsCertificate = view.plan.reasons.some(
    (reason) => reason.rule === 'qualification' || (reason.rule === 'cancer-history' && isForbidden),
  );
  const handOver = async (therapist: TherapistView) => {
    try {
      await send('POST /api/visits/{id}/handover', { params: { id: visit.id }, body: { therapistId: therapist.id } });
      await refresh();
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };

  return (
    <aside className={styles['side']} aria-label={planWords.waysOutTimeAndSchool}>
      {isForbidden && (
        <section className={styles['refer']} role="alert">
          <h2>{planWords.notToBeCarriedOut}</h2>
          {view.plan.reasons
            .filter((reason) => ['qualification', 'no-exit', 'cancer-history'].includes(reason.rule))
            .map((reason) => (
              <p key={reason.text}>{reason.text}</p>
            ))}
          {needsCertificate && certified && (
            <Button onClick={() => void handOver(certified)}>{planWords.handOverTo(certified.name)}</Button>
          )}
        </section>
      )}
      <WaysOut plan={plan} />
      <section>
        <h2>{planWords.time}</h2>
        <p>
          <strong>{formatClock(total)}</strong> {planWords.of} {formatClock(budget)} {planWords.min}{' '}
          {timeWords(view.plan.fits, total, budget, view.drainageCase.fill)}{' '}
          {crossings > 0 && planWords.crossesTheTable(crossings)}
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
        <h2>{planWords.school}</h2>
        <p className={styles['soft']}>
          {capitalise(schoolInWords(school))}{' '}
          <Button look="link" onClick={() => setIsChanging(true)}>
            {planWords.changeTimeOrSchool}
          </Button>
        </p>
      </section>
      {shaping.length > 0 && (
        <section>
          <h2>{planWords.whatShapedIt}</h2>
          <ul className={`marked-list ${styles['reasons']}`}>
            {shaping.map(({ text }) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </section>
      )}
      {view.plan.waiting.length > 0 && (
        <section>
          <h2>{planWords.hasToWait}</h2>
          <p className={styles['soft']}>{capitalise(list(view.plan.waiting.map((id) => shortLabel(anatomy, id))))}.</p>
        </section>
      )}
      {isChanging && (
        <Suspense>
          <ChangeWish plan={plan} onClose={() => setIsChanging(false)} />
        </Suspense>
      )}
    </aside>
  );
}

function timeWords(fits: boolean, totalSeconds: Seconds, budgetSeconds: Seconds, fill: boolean): string {
  if (!fits) return planWords.itDoesNotAllFit;
  if (totalSeconds > budgetSeconds - 120) return planWords.itFits;
  return fill ? planWords.drainingHasAllTheRepetitionsThat : planWords.itEndsEarlyFillTheTime;
}
