import { lazy, Suspense } from 'react';
import { Button } from '../../ui/button/Button';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

const DropsAfter = lazy(async () => ({ default: (await import('./DropsAfter')).DropsAfter }));

/** Whole drops of each oil, or: not for this client. */
export function DropsDrill({ question, onChange, best }: DrillProps<'drops'>) {
  const [drops, setDrops] = useKept<Readonly<Record<string, number>>>(
    'drops',
    Object.fromEntries(question.oils.map(({ id }) => [id, 0])),
  );
  const [isRefused, setIsRefused] = useKept('refused', false);
  const change = (id: string, by: number) => {
    const next = { ...drops, [id]: Math.max(0, (drops[id] ?? 0) + by) };
    setDrops(next);
    setIsRefused(false);
    onChange(Object.values(next).every((count) => count > 0) ? { drops: next } : undefined);
  };
  return (
    <div className={styles['fields']}>
      {question.oils.map(({ id, name }) => (
        <div key={id} className={styles['stepper']} role="group" aria-label={practiceWords.dropsOf(name)}>
          <span>{name}</span>
          <Button aria-label={practiceWords.less(name)} disabled={best !== undefined} onClick={() => change(id, -1)}>
            {practiceWords.minus}
          </Button>
          <output>{drops[id]}</output>
          <Button aria-label={practiceWords.more(name)} disabled={best !== undefined} onClick={() => change(id, 1)}>
            {practiceWords.plus}
          </Button>
          {best?.drops && <small>{practiceWords.rightWas(String(best.drops[id]))}</small>}
        </div>
      ))}
      <label className={styles['tick']}>
        <input
          type="checkbox"
          checked={isRefused}
          disabled={best !== undefined}
          onChange={({ target }) => {
            setIsRefused(target.checked);
            onChange(target.checked ? { notForClient: true } : undefined);
          }}
        />
        {practiceWords.notForThisClient}
        {best?.notForClient && <small>{practiceWords.thatWasRight}</small>}
      </label>
      {best && (
        <Suspense>
          <DropsAfter question={question} drops={drops} />
        </Suspense>
      )}
    </div>
  );
}
