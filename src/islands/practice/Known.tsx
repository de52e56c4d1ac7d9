import { lazy, Suspense, useState } from 'react';
import type { ChosenDrill, KnownView, SetView, SkillView } from '../../contracts/practice';
import { pebbleOutlines } from '../../ui/pebbles';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import type { paneOf } from '../../ui/pane-tabs/PaneTabs';
import { send } from '../api';
import { drillNames } from '../../core/training/names';
import styles from './Known.module.css';
import { practiceWords } from './practice.words';

const Team = lazy(async () => ({ default: (await import('./Team')).Team }));

interface Props {
  readonly known: KnownView;
  readonly isTrainer: boolean;
  readonly pane: ReturnType<typeof paneOf>;
  readonly onTake: (wish: ChosenDrill) => void;
  readonly onErased: (known: KnownView) => void;
}

/** What one knows, each rule a pebble that fills; what is set, when one practised; one's own and the trainer's. */
export function Known({ known, isTrainer, pane, onTake, onErased }: Props) {
  const [isErasing, setIsErasing] = useState(false);
  const [isTeam, setIsTeam] = useState(false);
  const asked = known.skills.filter(isAsked).toSorted((a, b) => a.sure - b.sure);
  const fresh = known.skills.length - asked.length;
  const erase = async () => {
    await send('DELETE /api/practice/results');
    onErased(await send('GET /api/practice/known'));
    setIsErasing(false);
  };
  return (
    <aside className={styles['known']} aria-label={practiceWords.whatIKnow} {...pane}>
      {known.sets.length > 0 && (
        <section>
          <h2>{practiceWords.setForYou}</h2>
          <ul className={styles['sets']}>
            {known.sets.map((set) => (
              <li key={set.id}>
                <Button look="link" onClick={() => onTake(chosen(set))}>
                  {practiceWords.setIs(drillNames[set.kind], set.level, set.seed)}
                </Button>
                <small>
                  {[
                    practiceWords.dueBy(set.due),
                    ...(set.work === null ? [] : [practiceWords.beforeWork(set.work)]),
                    ...(set.best === null ? [] : [practiceWords.bestSoFar(Math.round(100 * set.best))]),
                  ].join(' · ')}
                </small>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2>{practiceWords.whatIKnow}</h2>
        <p className={styles['soft']}>
          {asked.length > 1 && practiceWords.weakestFirst}{' '}
          {known.dueToday === 0
            ? practiceWords.nothingDue
            : known.dueToday === 1
              ? practiceWords.comesBackToday
              : practiceWords.comeBackToday(known.dueToday)}
        </p>
        <ul className={styles['skills']}>
          {asked.map(({ id, title, sure, isDue }) => (
            <li key={id} data-due={isDue || undefined}>
              <Fill share={sure} label={practiceWords.sureOf(title, Math.round(100 * sure))} />
              {title}
            </li>
          ))}
        </ul>
        {fresh > 0 && <p className={styles['soft']}>{practiceWords.notAskedYet(fresh)}</p>}
      </section>
      {known.sessions.length > 0 && (
        <section>
          <h2>{practiceWords.yourSessions}</h2>
          <ol className={styles['sessions']}>
            {known.sessions.toReversed().map(({ day, seconds, answers, mean }, i) => {
              const words = practiceWords.sessionIs(
                day,
                Math.round(seconds / 60),
                practiceWords.answers(answers),
                Math.round(100 * mean),
              );
              return (
                <li key={i} title={words}>
                  <i style={{ height: `${Math.round(100 * mean)}%` }} />
                  <span className="visually-hidden">{words}</span>
                </li>
              );
            })}
          </ol>
        </section>
      )}
      <footer className={styles['ways']}>
        <a href="/api/practice/results.csv" download>
          {practiceWords.asTable}
        </a>
        <a href="/api/practice/results.pdf" target="_blank" rel="noreferrer">
          {practiceWords.asPage}
        </a>
        {isTrainer && (
          <Button look="link" onClick={() => setIsTeam(true)}>
            {practiceWords.theHousePractises}
          </Button>
        )}
        {asked.length > 0 && (
          <Button look="link" onClick={() => setIsErasing(true)}>
            {practiceWords.erase}
          </Button>
        )}
        <p className={styles['soft']}>{practiceWords.onlyYours}</p>
      </footer>
      <Dialog title={practiceWords.eraseTitle} isOpen={isErasing} onClose={() => setIsErasing(false)}>
        <p>{practiceWords.eraseWhat}</p>
        <div className={styles['dialogFoot']}>
          <Button onClick={() => setIsErasing(false)}>{practiceWords.keep}</Button>
          <Button look="filled" onClick={() => void erase()}>
            {practiceWords.eraseNow}
          </Button>
        </div>
      </Dialog>
      {isTeam && (
        <Suspense>
          <Team onClose={() => setIsTeam(false)} />
        </Suspense>
      )}
    </aside>
  );
}

const isAsked = (skill: SkillView): skill is SkillView & { readonly sure: number } => skill.sure !== null;
const chosen = ({ id, kind, level, seed }: SetView): ChosenDrill => ({ kind, level, seed, course: null, set: id });

/** A pebble that is as full as a rule is sure. */
function Fill({ share, label }: { readonly share: number; readonly label: string }) {
  const top = 14 - 28 * Math.min(1, Math.max(0, share));
  return (
    <svg viewBox="-17 -14 34 28" width="30" height="25" role="img" aria-label={label} className={styles['fill']}>
      <path d={pebbleOutlines.drain} style={{ clipPath: `inset(${((top + 14) / 28) * 100}% 0 0 0)` }} data-full="" />
      <path d={pebbleOutlines.drain} />
    </svg>
  );
}
