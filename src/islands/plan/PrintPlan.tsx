import { planWords } from './plan.words';
import { anatomy } from '../../catalogue/anatomy';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { phasesOf, pressureInWords } from '../../core/drainage/step-words';
import { list } from '../../core/drainage/wording';
import { shortLabel } from '../../core/anatomy/place-labels';
import { byReason, insteadInWords } from '../../core/treatment/left-out-groups';
import { howOf, type TableStep, timesOf, titleOf } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import { BodyMap } from '../../ui/body-map/BodyMap';
import { Button } from '../../ui/button/Button';
import { hasDrainage, paperMarks } from './plan-marks';
import { Taught } from '../taught/Taught';
import styles from './PrintPlan.module.css';
import { capitalise } from '../../core/wording/capitalise';
import { unpacked } from '../../ui/frame/packed';

/** The plan on paper: ways, steps with why, cautions. Names the client, not a diagnosis. */
export function PrintPlan({ visit, plan }: { readonly visit: VisitView; readonly plan: PlanView }) {
  const { treatment } = plan;
  const { blends } = visit;
  const drainagePhases = phasesOf(plan.steps);
  const phases = plan.steps.map((step, i) => step.told?.block ?? drainagePhases[i]);
  const total = treatment?.totalSeconds ?? plan.steps.reduce((sum, step) => sum + step.seconds, 0);
  const isDrained = hasDrainage(plan.steps);
  const marks = paperMarks(visit.findings, plan.plan, plan.steps);
  return (
    <main id="main" className={styles['sheet']}>
      <p className={styles['tools']}>
        <a href={`/visits/${visit.id}/plan`}>{planWords.backToThePlan}</a>
        <Button look="filled" onClick={() => window.print()}>
          {planWords.print}
        </Button>
      </p>
      <header>
        <h1>{visit.client.name}</h1>
        <p>
          {planWords.ofMin(
            visit.date,
            visit.time,
            visit.work,
            visit.therapist.name,
            formatClock(total),
            plan.drainageCase.minutes,
          )}
        </p>
      </header>
      {isDrained && (plan.plan.decision === 'refer' || plan.plan.decision === 'stop') && (
        <p className={styles['forbidden']}>
          {planWords.notToBeCarriedOut2} {plan.plan.reasons[0]?.text}
        </p>
      )}
      <div className={styles['top']}>
        <div className={styles['maps']}>
          {(['front', 'back'] as const).map((view) => (
            <BodyMap
              key={view}
              view={view}
              label={planWords.plan(view)}
              regions={marks.regions}
              nodes={marks.nodes}
              signs={marks.signs}
              routes={marks.routes}
              pebbles={marks.pebbles}
            />
          ))}
        </div>
        <section>
          {treatment && (
            <>
              <h2>{planWords.thisVisit}</h2>
              <p>{treatment.choices.map(({ name }) => name).join(' · ')}</p>
              {treatment.lean?.answer === 'taken' && (
                <p>{planWords.moreOnTheTighterSide(treatment.lean.side, treatment.lean.found)}</p>
              )}
              {treatment.pace?.isOwn && <p>{planWords.atThePaceOf(treatment.pace.whose)}</p>}
              {treatment.leftOut.length > 0 && <h2>{planWords.leftOut}</h2>}
              {byReason(treatment.leftOut).map(({ what, why, instead }) => (
                <p key={why}>
                  <strong>{why}</strong> {what.join('; ')}.
                  {instead.length > 0 && planWords.instead(insteadInWords(instead, what.length))}
                </p>
              ))}
            </>
          )}
          {isDrained && <h2>{planWords.waysOut}</h2>}
          {(isDrained ? plan.plan.exits : []).map((exit) => (
            <p key={exit.to}>
              <strong>
                {capitalise(shortLabel(anatomy, exit.to))}, {Math.round(exit.share * 100)} %.
              </strong>{' '}
              {exit.why}
            </p>
          ))}
          {(isDrained ? plan.plan.rejected : []).map((rejected) => (
            <p key={rejected.to}>
              <strong>{planWords.notThe(shortLabel(anatomy, rejected.to))}</strong> {rejected.why}
            </p>
          ))}
          {isDrained && (
            <>
              <h2>{planWords.mind}</h2>
              <ul>
                {plan.plan.reasons.map((reason) => (
                  <li key={reason.text}>{reason.text}</li>
                ))}
              </ul>
            </>
          )}
          {isDrained && plan.plan.waiting.length > 0 && (
            <p>{planWords.hasToWait2(list(plan.plan.waiting.map((id) => shortLabel(anatomy, id))))}</p>
          )}
        </section>
      </div>
      {treatment && treatment.room.length > 0 && (
        <section className={styles['room']}>
          <h2>{planWords.beforeTheClientComes}</h2>
          <ul>
            {treatment.room.map(({ what, minutesBefore }) => (
              <li key={what}>
                <strong>{minutesBefore === 0 ? planWords.atTheDoor : planWords.minBefore(minutesBefore)}</strong> {what}
              </li>
            ))}
            {Object.values(blends).map(({ blend, words }) => (
              <li key={blend.area}>
                <strong>{blend.name}</strong> {words}
              </li>
            ))}
          </ul>
        </section>
      )}
      <table className={styles['steps']} tabIndex={0}>
        <thead>
          <tr>
            <th scope="col">{planWords.no}</th>
            <th scope="col">{planWords.step2}</th>
            <th scope="col">{planWords.whichWayHow}</th>
            <th scope="col">{planWords.times}</th>
            <th scope="col">{planWords.time}</th>
          </tr>
        </thead>
        <tbody>
          {plan.steps.map((step, i) => (
            <tr key={step.id} data-first={phases[i] === phases[i - 1] ? undefined : true}>
              <td>{i + 1}</td>
              <th scope="row">{titleOf(anatomy, step)}</th>
              <td>
                {step.changes?.length ? <strong>{step.changes.join(' ')} </strong> : null}
                {howOf(anatomy, step)}.{' '}
                {sentences([
                  ...(step.told ? [step.told.cue, step.told.note] : [pressureInWords(step.pressure)]),
                  ...step.cautions,
                ])}
                {isFirstTaught(plan.steps, i) && <Taught taught={step.taught} />}
              </td>
              <td>{timesOf(step)}</td>
              <td>{formatClock(step.seconds)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <footer>{planWords.velvetStoneSupportsTrainedHandsIt}</footer>
    </main>
  );
}

/** On paper it is said where it is met first, not with each of many steps alike. */
const isFirstTaught = (steps: readonly TableStep[], at: number): boolean =>
  steps.findIndex(({ taught }) => isEqual(taught, steps[at]?.taught)) === at;

const isEqual = (a: TableStep['taught'], b: TableStep['taught']) =>
  a?.why === b?.why && a?.never === b?.never && a?.feel === b?.feel;

/** Cues, notes and cautions as they stand in one line of print: each begins large, ends with a stop and stands once. */
function sentences(parts: readonly string[]): string {
  const whole = parts.filter((part) => part !== '').map((part) => capitalise(/[.!?]$/.test(part) ? part : `${part}.`));
  return [...new Set(whole)].join(' ');
}

/** As the page shows it. */
export const PrintIsland = unpacked(PrintPlan);
