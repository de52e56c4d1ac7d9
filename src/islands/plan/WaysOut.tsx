import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import type { Candidate } from '../../core/drainage/candidates';
import { capitalise, formatCost, shortLabel } from '../../core/drainage/wording';
import { Button } from '../../ui/button/Button';
import type { PlanHandle } from './usePlan';
import { wishOf } from './usePlan';
import styles from './WaysOut.module.css';

/** Where fluid is led, compared by how much of it and how far; where else it could be led, to be chosen; and where not. */
export function WaysOut({ plan }: { readonly plan: PlanHandle }) {
  const { exits, rejected, candidates = [] } = plan.view.plan;
  const wish = wishOf(plan.view.drainageCase);
  const { use = [], refuse = [] } = wish;
  const others = candidates.filter(({ chosen }) => !chosen);
  const shown = new Set(others.map(({ to }) => to));
  const candidateOf = (to: PlaceId) => candidates.find((one) => one.to === to);
  const isChosenByHand = use.length > 0 || refuse.length > 0;
  const without = (list: readonly PlaceId[], to: PlaceId) => list.filter((id) => id !== to);
  const take = ({ to }: Candidate) =>
    plan.replan({
      ...wish,
      use: [...new Set([...(use.length > 0 ? use : candidates.filter((c) => c.chosen).map((c) => c.to)), to])],
      refuse: without(refuse, to),
    });
  const leave = (to: PlaceId) => plan.replan({ ...wish, use: without(use, to), refuse: [...new Set([...refuse, to])] });
  return (
    <section>
      <h2>Ways out</h2>
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
              about {formatCost(exit.cost)} {exit.cost === 1 ? 'hand’s width' : 'hand’s widths'} of skin
              {candidate && `, ${candidate.minutes} min`}
            </p>
            <div className={styles['bar']} data-tone={i === 0 ? 'moss' : 'river'} aria-hidden="true">
              <i style={{ width: `${exit.share * 100}%` }} />
            </div>
            {candidate && exits.filter(({ to }) => candidateOf(to)).length > 1 && (
              <Button look="link" onClick={() => leave(exit.to)}>
                Do without the {shortLabel(anatomy, exit.to)}
              </Button>
            )}
          </div>
        );
      })}
      {others.map((candidate) => (
        <div key={candidate.to} className={styles['other']}>
          <strong>{capitalise(shortLabel(anatomy, candidate.to))}</strong>
          <p>
            {candidate.why} About {candidate.minutes} min.
          </p>
          <Button look="link" onClick={() => take(candidate)}>
            Use the {shortLabel(anatomy, candidate.to)}, too
          </Button>
        </div>
      ))}
      {isChosenByHand && (
        <Button onClick={() => plan.replan({ ...wish, use: [], refuse: [] })}>Back to the planner’s choice</Button>
      )}
      {rejected
        .filter(({ to }) => !shown.has(to))
        .map(({ to, why }) => (
          <div key={to} className={styles['rejected']}>
            <strong>Not {shortLabel(anatomy, to)}</strong>
            <p>{why}</p>
          </div>
        ))}
    </section>
  );
}
