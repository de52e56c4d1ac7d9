import type { ChangeVerdict } from '../../core/training/change';
import { Choice } from '../../ui/choice/Choice';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

const verdicts: readonly { readonly value: ChangeVerdict; readonly text: string }[] = [
  { value: 'changed', text: practiceWords.changed },
  { value: 'not-to-be-told', text: practiceWords.notToBeTold },
  { value: 'slipped', text: practiceWords.slipped },
];

/** Two runs of the tape beside each other. */
export function ChangeDrill({ question, onChange, best }: DrillProps<'change'>) {
  const [verdict, setVerdict] = useKept<ChangeVerdict | null>('verdict', null);
  const { positions, before, after } = question;
  return (
    <div className={styles['fields']}>
      <table className={styles['runs']}>
        <caption>{practiceWords.girths}</caption>
        <thead>
          <tr>
            <th scope="col">{practiceWords.mark}</th>
            <th scope="col">{practiceWords.swollenBefore}</th>
            <th scope="col">{practiceWords.swollenAfter}</th>
            <th scope="col">{practiceWords.otherBefore}</th>
            <th scope="col">{practiceWords.otherAfter}</th>
          </tr>
        </thead>
        <tbody>
          {positions.map((x, i) => (
            <tr key={x}>
              <th scope="row">{x}</th>
              {[before.affected, after.affected, before.reference, after.reference].map((run, k) => (
                <td key={k}>{run[i]?.toFixed(1)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Choice
        label={practiceWords.whatIsIt}
        options={verdicts.map((one) =>
          one.value === best?.verdict ? { ...one, text: practiceWords.wasRight(one.text) } : one,
        )}
        value={verdict}
        isDisabled={best !== undefined}
        onChange={(next) => {
          setVerdict(next);
          onChange({ verdict: next });
        }}
      />
    </div>
  );
}
