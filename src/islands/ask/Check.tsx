import { Fragment } from 'react';
import type { CheckQuestion, TodayGroup } from '../../core/visit/check-question';
import { gateAnswer } from '../../core/visit/visit-check';
import { gateRow, isGateOpen } from './gate-order';
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

/** The check of the day by gates, each with what a no closes, and behind an open one its questions. */
export function GatedCheck(props: Props & { readonly opened: ReadonlySet<string> }) {
  const { view, asking, current, onCurrent, onAnswer, opened } = props;
  const { gates, flags, still, today, others } = view.check;
  const answers = asking.state.check;
  const questions = new Map([...flags, ...still, ...others].map((question) => [question.id, question]));
  const groups = new Map(today.map((group) => [group.id, group]));
  return (
    <ol className={`${shared['questions']} ${styles['gates']}`} aria-label={askWords.gatesOfTheCheck}>
      {gates.map((gate) => {
        const isOpen = isGateOpen(gate, answers, opened);
        const rowOf = (id: string) => {
          const question = questions.get(id);
          const group = groups.get(id);
          if (question)
            return <QuestionRow key={id} {...props} question={question} isFlag={question.flag !== undefined} />;
          return group && <TodayRow key={id} {...props} group={group} isBehindGate />;
        };
        return (
          <Fragment key={gate.id}>
            {gate.still.map(rowOf)}
            {gate.questions.length > 0 && (
              <AnswerRow
                text={gate.text}
                hint={gate.hint}
                told={gate.onRecord}
                isGate
                isCurrent={current === gateRow(gate)}
                value={isOpen ? 'yes' : gateAnswer(gate, answers)}
                options={yesNo}
                onAnswer={(answer) => onAnswer(gateRow(gate), answer)}
                onFocus={() => onCurrent(gateRow(gate))}
              >
                {isOpen && <ol className={styles['behind']}>{gate.questions.map(rowOf)}</ol>}
              </AnswerRow>
            )}
          </Fragment>
        );
      })}
    </ol>
  );
}

/** The check one question after the other: red flags, what was so and may still be, what came up today, the last visit. */
export function Check(props: Props) {
  const { check } = props.view;
  return (
    <>
      <section className={shared['group']} aria-label={askWords.reasonsToStop}>
        <h3>{askWords.reasonsToStop}</h3>
        <ol className={shared['questions']}>
          {check.flags.map((question) => (
            <QuestionRow key={question.id} {...props} question={question} isFlag />
          ))}
        </ol>
      </section>
      {check.still.length > 0 && (
        <section className={shared['group']} aria-label={askWords.asLastTime}>
          <h3>{askWords.asLastTime2}</h3>
          <ol className={shared['questions']}>
            {check.still.map((question) => (
              <QuestionRow key={question.id} {...props} question={question} />
            ))}
          </ol>
        </section>
      )}
      <section className={shared['group']} aria-label={askWords.today}>
        <h3>{askWords.anyOfTheseToday}</h3>
        <ol className={shared['questions']}>
          {check.today.map((group) => (
            <TodayRow key={group.id} {...props} group={group} />
          ))}
        </ol>
      </section>
      {check.others.length > 0 && (
        <section className={shared['group']} aria-label={askWords.sinceLastTime}>
          <h3>{askWords.sinceLastTime}</h3>
          <ol className={shared['questions']}>
            {check.others.map((question) => (
              <QuestionRow key={question.id} {...props} question={question} />
            ))}
          </ol>
        </section>
      )}
    </>
  );
}

function QuestionRow({
  asking,
  current,
  onAnswer,
  onCurrent,
  question,
  isFlag = false,
}: Props & { readonly question: CheckQuestion; readonly isFlag?: boolean }) {
  return (
    <AnswerRow
      text={question.text}
      hint={question.hint}
      isCurrent={current === question.id}
      isFlag={isFlag}
      value={asking.state.check[question.id] ?? null}
      options={yesNo}
      onAnswer={(answer) => onAnswer(question.id, answer)}
      onFocus={() => onCurrent(question.id)}
    />
  );
}

/** Findings of today, those of one gate; a yes opens them to be ticked, and placed. */
function TodayRow(props: Props & { readonly group: TodayGroup; readonly isBehindGate?: boolean }) {
  const { view, asking, current, onCurrent, onAnswer, onIntake, marking, onMark, group, isBehindGate = false } = props;
  const { check: answers, findings } = asking.state;
  const isSingle = group.conditions.length === 1;
  const found = group.conditions.filter((c) => findings.some((f) => f.id === c.id));
  return (
    <AnswerRow
      text={isBehindGate && !isSingle ? askWords.anyOfTheseToday2 : group.group}
      hint={isSingle ? undefined : group.conditions.map((c) => c.label.toLowerCase()).join(' · ')}
      isCurrent={current === group.id}
      value={answers[group.id] ?? null}
      options={yesNo}
      onAnswer={(answer) => onAnswer(group.id, answer)}
      onFocus={() => onCurrent(group.id)}
    >
      {answers[group.id] === 'yes' && !isSingle && (
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
            <Found key={c.id} condition={condition} {...{ view, asking, marking, onMark }} onAnswer={onIntake} />
          )
        );
      })}
    </AnswerRow>
  );
}
