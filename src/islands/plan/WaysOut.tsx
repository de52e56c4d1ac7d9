import { planWords } from './plan.words';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import { formatCost } from '../../core/drainage/wording';
import { shortLabel } from '../../core/anatomy/place-labels';
import { Button } from '../../ui/button/Button';
import type { PlanHandle } from './usePlan';
import { waysOf } from './ways';
import styles from './WaysOut.module.css';
import { capitalise } from '../../core/wording/capitalise';

/** Where fluid is led, compared by how much of it and how far; where else it could be led, to be chosen; and where not. */
export function WaysOut({ plan }: { readonly plan: PlanHandle }) {
  const { exits, rejected, candidates = [] } = plan.view.plan;
  const ways = waysOf(plan);
  const others = candidates.filter(({ chosen }) => !chosen);
  const shown = new Set(others.map(({ to }) => to));
  const candidateOf = (to: PlaceId) => candidates.find((one) => one.to === to);
  return (
    <section>
      <h2>{planWords.waysOut}</h2>
      {exits.map((exit, i) => {
        const candidate = candidateOf(exit.to);
        return (
          <div key={exit.to} className={styles['exit']}>
            <div>
              <strong>{capitalise(shortLabel(anatomy, exit.to))}</strong>
              <strong className={styles['share']}>{Math.round(exit.share * 100)} %</strong>
            </div>
            <p>{exit.why.replace(/^Led /, '')}</p>
            <p>
              {planWords.about2} {formatCost(exit.cost)}{' '}
              {exit.cost === 1 ? planWords.handsWidth : planWords.handsWidths} {planWords.ofSkin2}
              {candidate && planWords.min2(candidate.minutes)}
            </p>
            <div className={styles['bar']} data-tone={i === 0 ? 'moss' : 'river'} aria-hidden="true">
              <i style={{ width: `${exit.share * 100}%` }} />
            </div>
            {candidate && exits.filter(({ to }) => candidateOf(to)).length > 1 && (
              <Button look="link" onClick={() => ways.leave(exit.to)}>
                {planWords.doWithoutThe(shortLabel(anatomy, exit.to))}
              </Button>
            )}
          </div>
        );
      })}
      {others.map((candidate) => (
        <div key={candidate.to} className={styles['other']}>
          <strong>{capitalise(shortLabel(anatomy, candidate.to))}</strong>
          <p>{planWords.aboutMin(candidate.why, candidate.minutes)}</p>
          <Button look="link" onClick={() => ways.use(candidate.to)}>
            {planWords.useTheToo(shortLabel(anatomy, candidate.to))}
          </Button>
        </div>
      ))}
      {ways.isChosenByHand && <Button onClick={ways.back}>{planWords.backToThePlannersChoice}</Button>}
      {rejected
        .filter(({ to }) => !shown.has(to))
        .map(({ to, why }) => (
          <div key={to} className={styles['rejected']}>
            <strong>{planWords.not(shortLabel(anatomy, to))}</strong>
            <p>{why}</p>
          </div>
        ))}
    </section>
  );
}
