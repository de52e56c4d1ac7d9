import type { PracticeMarked } from '../../contracts/practice';
import { type RuleId, ruleBook } from '../../core/drainage/rules';
import styles from './Verdict.module.css';
import { practiceWords } from './practice.words';

/** From which a score counts as right, and as nearly. */
export const rightFrom = 0.999;
const nearlyFrom = 0.6;
const mostShown = 3;

type Fault = PracticeMarked['faults'][number];

/** How an answer was, what was not right in it and by which rule, and what of it comes back. */
export function Verdict({ marked: { score, faults, comesBack, session } }: { readonly marked: PracticeMarked }) {
  const said =
    score >= rightFrom ? practiceWords.right : score >= nearlyFrom ? practiceWords.nearly : practiceWords.notYet;
  // The same fault at several steps is told once.
  const told = [...new Map(faults.map((fault) => [fault.text, fault])).values()];
  const rest = told.slice(mostShown);
  return (
    <section className={styles['verdict']} role="status" data-right={score >= rightFrom || undefined}>
      <p>
        <strong>{said}</strong> {practiceWords.points(Math.round(100 * score))}
      </p>
      <Faults faults={told.slice(0, mostShown)} />
      {rest.length > 0 && (
        <details>
          <summary>{practiceWords.andMore(rest.length)}</summary>
          <Faults faults={rest} />
        </details>
      )}
      {comesBack.length > 0 && <p>{practiceWords.comesBack(comesBack.join(', ').toLowerCase())}</p>}
      {session.isOver && (
        <p>{practiceWords.tenMinutesDone(practiceWords.answers(session.answers), Math.round(100 * session.mean))}</p>
      )}
    </section>
  );
}

function Faults({ faults }: { readonly faults: readonly Fault[] }) {
  return (
    <ul className="marked-list">
      {faults.map(({ rule, text }) => (
        <li key={text}>
          {text} {rule in ruleBook && <em>{practiceWords.theRule(ruleBook[rule as RuleId])}</em>}
        </li>
      ))}
    </ul>
  );
}
