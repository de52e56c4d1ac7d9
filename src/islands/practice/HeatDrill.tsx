import { lazy, Suspense } from 'react';
import { Field } from '../../ui/field/Field';
import { typedNumber } from '../forms/numbers';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

const HeatAfter = lazy(async () => ({ default: (await import('./HeatAfter')).HeatAfter }));

/** How warm, and how long. */
export function HeatDrill({ question, onChange, best }: DrillProps<'heat'>) {
  const [firstC, setFirstC] = useKept('firstC', '');
  const [seconds, setSeconds] = useKept('seconds', '');
  const tell = (warm: string, long: string) => {
    const [c, s] = [typedNumber(warm), typedNumber(long)];
    const isWhole = c !== null && s !== null && Number.isFinite(c) && Number.isFinite(s);
    onChange(isWhole ? { firstC: c, seconds: s } : undefined);
  };
  const errorOf = (text: string) => (Number.isNaN(typedNumber(text)) ? practiceWords.giveANumber : undefined);
  return (
    <div className={styles['fields']}>
      <Field
        label={practiceWords.firstTouch}
        inputMode="decimal"
        value={firstC}
        disabled={best !== undefined}
        error={errorOf(firstC)}
        hint={best && practiceWords.rightWas(String(best.firstC))}
        onChange={({ target }) => {
          setFirstC(target.value);
          tell(target.value, seconds);
        }}
      />
      <Field
        label={practiceWords.mayLie}
        inputMode="decimal"
        value={seconds}
        disabled={best !== undefined}
        error={errorOf(seconds)}
        hint={best && practiceWords.rightWas(String(best.seconds))}
        onChange={({ target }) => {
          setSeconds(target.value);
          tell(firstC, target.value);
        }}
      />
      {best && (
        <Suspense>
          <HeatAfter
            question={question}
            own={{ firstC: typedNumber(firstC), seconds: typedNumber(seconds) }}
            best={best}
          />
        </Suspense>
      )}
    </div>
  );
}
