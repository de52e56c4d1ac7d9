import { askWords } from './ask.words';
import type { AskView } from '../../contracts/ask-views';
import { AnswerRow } from './AnswerRow';
import shared from './AskView.module.css';
import styles from './Check.module.css';
import { Found } from './Intake';
import type { Answer, Asking } from './useAsk';

interface Props {
  readonly view: AskView;
  readonly asking: Asking;
  readonly current: string | undefined;
  readonly onCurrent: (id: string) => void;
  readonly onAnswer: (id: string, answer: Answer) => void;
  readonly onIntake: (id: string, answer: Answer) => void;
  readonly marking: number | undefined;
  readonly onMark: (key: number | undefined) => void;
}

const yesNo: readonly Answer[] = ['no', 'yes'];

/** The check before every visit: red flags, what was so and may still be, what came up today, and how the last visit was borne. */
export function Check(props: Props) {
  const { view, asking, current, onCurrent, onAnswer, onIntake, marking, onMark } = props;
  const { check } = view;
  const { check: answers, findings } = asking.state;
  const row = (question: { id: string; text: string; hint?: string | undefined }, isFlag = false) => (
    <AnswerRow
      key={question.id}
      text={question.text}
      hint={question.hint}
      isCurrent={current === question.id}
      isFlag={isFlag}
      value={answers[question.id] ?? null}
      options={yesNo}
      onAnswer={(answer) => onAnswer(question.id, answer)}
      onFocus={() => onCurrent(question.id)}
    />
  );
  return (
    <>
      <section className={shared['group']} aria-label={askWords.reasonsToStop}>
        <h3>{askWords.reasonsToStop}</h3>
        <ol className={shared['questions']}>{check.flags.map((question) => row(question, true))}</ol>
      </section>
      {check.still.length > 0 && (
        <section className={shared['group']} aria-label={askWords.asLastTime}>
          <h3>{askWords.asLastTime2}</h3>
          <ol className={shared['questions']}>{check.still.map((question) => row(question))}</ol>
        </section>
      )}
      <section className={shared['group']} aria-label={askWords.today}>
        <h3>{askWords.anyOfTheseToday}</h3>
        <ol className={shared['questions']}>
          {check.today.map((group) => {
            const found = group.conditions.filter((c) => findings.some((f) => f.id === c.id));
            return (
              <AnswerRow
                key={group.id}
                text={group.group}
                hint={group.conditions.map((c) => c.label.toLowerCase()).join(' · ')}
                isCurrent={current === group.id}
                value={answers[group.id] ?? null}
                options={yesNo}
                onAnswer={(answer) => onAnswer(group.id, answer)}
                onFocus={() => onCurrent(group.id)}
              >
                {answers[group.id] === 'yes' && (
                  <div className={styles['ticks']} role="group" aria-label={askWords.which(group.group)}>
                    {group.conditions.map((condition) => (
                      <label key={condition.id}>
                        <input
                          type="checkbox"
                          checked={found.includes(condition)}
                          onChange={(event) => onIntake(condition.id, event.target.checked ? 'yes' : 'no')}
                        />
                        {condition.label}
                      </label>
                    ))}
                  </div>
                )}
                {found.map((c) => {
                  const condition = view.conditions.find((known) => known.id === c.id);
                  return (
                    condition && (
                      <Found
                        key={c.id}
                        condition={condition}
                        {...{ view, asking, marking, onMark }}
                        onAnswer={onIntake}
                      />
                    )
                  );
                })}
              </AnswerRow>
            );
          })}
        </ol>
      </section>
      <section className={shared['group']} aria-label={askWords.sinceLastTime}>
        <h3>{askWords.sinceLastTime}</h3>
        <ol className={shared['questions']}>{check.others.map((question) => row(question))}</ol>
      </section>
    </>
  );
}
