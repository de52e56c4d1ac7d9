import { visitHeadWords } from './visit-head.words';
import { ChevronLeft } from 'lucide-react';
import { use, useEffect, useRef } from 'react';
import type { Stage, StageOrEnd } from '../../contracts/people-views';
import { stages } from '../../core/visit/stage';
import type { VisitHeadView } from '../../contracts/visit-views';
import { type Stone, SteppingStones } from '../../ui/stones/SteppingStones';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { RefreshContext } from './refresh';
import styles from './VisitHead.module.css';

/** Stages that have a view of their own. */
const walked = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;
const names: Readonly<Record<(typeof walked)[number], string>> = {
  ask: visitHeadWords.ask,
  measure: visitHeadWords.measure,
  plan: visitHeadWords.plan,
  prepare: visitHeadWords.prepare,
  table: visitHeadWords.table,
  close: visitHeadWords.close,
};

interface Props {
  readonly visit: VisitHeadView;
  readonly here: (typeof walked)[number];
  readonly stage?: StageOrEnd;
}

/** What of the asking is missing, for a visit that has not begun at the table. */
function missingWords({ missing, events }: VisitHeadView): string | undefined {
  if (missing.length === 0 || events.length > 0) return undefined;
  const names = { intake: 'intake', consent: 'consent', check: 'check' } as const;
  return visitHeadWords.missing(missing.map(({ gate }) => names[gate]).join(', '));
}

/** Client and stage of a visit, the same on each of its views. */
export function VisitHead({ visit, here, stage = visit.stage }: Props) {
  const { turn } = use(RefreshContext);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (turn > 0) heading.current?.focus();
  }, [turn]);
  const reached = stage === 'done' ? stages.length : stages.indexOf(stage as Stage);
  const stones = walked.map((name): Stone => {
    const isHere = name === here;
    const isPassed = stage === 'done' || stages.indexOf(name) < Math.max(reached, stages.indexOf(here));
    const missing = name === 'ask' ? missingWords(visit) : undefined;
    const isDone = !isHere && isPassed && missing === undefined && (name !== 'measure' || visit.before !== null);
    const isClosed = stage === 'stopped' && name !== 'ask' && !isHere;
    return {
      name: names[name],
      href: `/visits/${visit.id}/${name}`,
      state: isHere ? 'here' : isDone ? 'done' : 'ahead',
      isClosed,
      missing: isHere || !isPassed ? undefined : missing,
    };
  });
  return (
    <div className={styles['head']} data-visit-head>
      <a className={styles['back']} href="/" aria-label={visitHeadWords.backToTheDay}>
        <ChevronLeft size={26} aria-hidden="true" />
      </a>
      <div className={styles['who']}>
        <h1 ref={heading} tabIndex={-1}>
          <a href={`/clients/${visit.client.id}`}>{visit.client.name}</a>
        </h1>
        <p>
          {visit.client.age === null ? '' : `${visit.client.age} · `}
          {visit.time}, {visit.minutes} {visitHeadWords.minWith} {visit.therapist.name} · {visit.work}
        </p>
      </div>
      <div className={styles['stones']}>
        <SteppingStones stones={stones} />
        <Shortcuts />
      </div>
    </div>
  );
}
