import type { Decision } from '../../core/screening/tables';
import { decisionNames } from '../../core/training/names';
import { Choice } from '../../ui/choice/Choice';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

const noLimit = '';

/** Go, change, or refer, for each kind of work; and the limit that matters most. */
export function ScreenDrill({ question, onChange, best }: DrillProps<'screen'>) {
  const [decisions, setDecisions] = useKept<Readonly<Record<string, Decision>>>('decisions', {});
  const [limit, setLimit] = useKept<string | null>('limit', null);
  const tell = (next: Readonly<Record<string, Decision>>, of: string | null) => {
    const isWhole = question.modalities.every(({ id }) => next[id] !== undefined) && of !== null;
    onChange(isWhole ? { decisions: next, limit: of === noLimit ? null : of } : undefined);
  };
  return (
    <div className={styles['fields']}>
      {question.modalities.map(({ id, label }) => (
        <Choice
          key={id}
          label={best ? `${label} · ${decisionNames[best.decisions[id] ?? 'ok']}` : label}
          isRow
          options={question.decisions.map((value) => ({ value, text: decisionNames[value] }))}
          value={decisions[id] ?? null}
          isDisabled={best !== undefined}
          onChange={(decision) => {
            const next = { ...decisions, [id]: decision };
            setDecisions(next);
            tell(next, limit);
          }}
        />
      ))}
      <Choice
        label={practiceWords.limitThatMatters}
        options={[
          ...question.limits.map(({ id, label }) => ({ value: id, text: label })),
          { value: noLimit, text: practiceWords.noneHolds },
        ]}
        value={limit}
        isDisabled={best !== undefined}
        onChange={(of) => {
          setLimit(of);
          tell(decisions, of);
        }}
      />
    </div>
  );
}
