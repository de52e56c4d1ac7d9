import { askWords } from './ask.words';
import { useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import type { ConditionView } from '../../contracts/screening-views';
import { Button } from '../../ui/button/Button';
import { TextArea } from '../../ui/field/Field';
import type { RequestError } from '../api';
import { AnswerRow } from './AnswerRow';
import shared from './AskView.module.css';
import styles from './Intake.module.css';
import { FindingDetail } from './FindingDetail';
import type { IntakeGroup } from './rows';
import type { Answer, Asking } from './useAsk';
import { DateField } from '../../ui/date-field/DateField';

interface Props {
  readonly view: AskView;
  readonly asking: Asking;
  readonly groups: readonly IntakeGroup[];
  readonly current: string | undefined;
  readonly onCurrent: (id: string) => void;
  readonly onAnswer: (id: string, answer: Answer) => void;
  readonly onRestNo: (group: IntakeGroup) => void;
  readonly marking: number | undefined;
  readonly onMark: (key: number | undefined) => void;
}

const all: readonly Answer[] = ['no', 'yes', 'unsure'];

/** The full intake: a gate before each group, its questions when the gate is open, and under a yes what is still to be known. */
export function Intake(props: Props) {
  const { view, asking, groups, current, onCurrent, onAnswer, onRestNo, marking, onMark } = props;
  const sections = groups.map((group) => (
    <section key={group.group} className={shared['group']} aria-label={group.group}>
      <h3>
        {group.group}
        {group.state === 'open' && group.unanswered.length > 0 && (
          <Button look="link" onClick={() => onRestNo(group)}>
            {group.unanswered.length === group.questions.length ? askWords.allNo : askWords.theRestNo}
          </Button>
        )}
      </h3>
      <ol className={shared['questions']}>
        <AnswerRow
          text={group.gate.text}
          hint={group.gate.hint}
          isGate
          isCurrent={current === group.gate.id}
          value={group.state === 'open' ? 'yes' : group.state === 'closed' ? 'no' : null}
          options={['no', 'yes']}
          onAnswer={(answer) => onAnswer(group.gate.id, answer)}
          onFocus={() => onCurrent(group.gate.id)}
        />
        {group.state === 'open' &&
          group.questions.map((question) => (
            <AnswerRow
              key={question.id}
              text={question.text}
              hint={question.condition.label}
              isCurrent={current === question.id}
              value={asking.state.intake[question.id] ?? null}
              options={all}
              onAnswer={(answer) => onAnswer(question.id, answer)}
              onFocus={() => onCurrent(question.id)}
            >
              <Found condition={question.condition} {...{ view, asking, marking, onMark, onAnswer }} />
            </AnswerRow>
          ))}
      </ol>
      {group.group === 'Medicines' && group.state === 'open' && (
        <Medicines view={view} asking={asking} onAnswer={onAnswer} />
      )}
      {group.group === 'Pregnancy' && group.state === 'open' && <DueDate view={view} asking={asking} />}
    </section>
  ));
  return (
    <>
      {view.visit.client.age === null && <Birthday asking={asking} />}
      {sections}
    </>
  );
}

interface FoundProps extends Pick<Props, 'view' | 'asking' | 'marking' | 'onMark' | 'onAnswer'> {
  readonly condition: ConditionView;
}

/** Everything found under one question; two scars are two. */
export function Found({ condition, view, asking, marking, onMark, onAnswer }: FoundProps) {
  return asking.state.findings
    .filter((finding) => finding.id === condition.id)
    .map((finding) => (
      <FindingDetail
        key={finding.id + finding.key}
        finding={finding}
        condition={condition}
        conditions={view.conditions}
        state={asking.state}
        asking={asking}
        isMarking={marking === finding.key}
        onMark={() => onMark(marking === finding.key ? undefined : finding.key)}
        onAdd={(id) => onAnswer(id, 'yes')}
      />
    ));
}

/** Whoever came in without a birthday: the young and the old are treated differently. */
function Birthday({ asking }: Pick<Props, 'asking'>) {
  const [error, setError] = useState<RequestError>();
  const [isKept, setIsKept] = useState(false);
  return (
    <div className={styles['free']}>
      <DateField
        label={askWords.bornOn}
        onDay={(value) => {
          if (!/^(19|20)\d\d-/.test(value)) return;
          void asking.keepText({ bornOn: value }).then((refused) => {
            setError(refused);
            setIsKept(!refused);
          });
        }}
        hint={isKept ? askWords.keptWithTheClientsData : askWords.notOnRecordSomeWorkDepends}
        error={error?.fieldError('bornOn')}
      />
    </div>
  );
}

/** Medicines as they are told; classes that change the work are recognised. */
function Medicines({ view, asking, onAnswer }: Pick<Props, 'view' | 'asking' | 'onAnswer'>) {
  const [error, setError] = useState<RequestError>();
  const [text, setText] = useState(view.medicines);
  const [kept, setKept] = useState(view.medicines);
  const label = (id: string) => view.conditions.find((c) => c.id === id)?.label ?? id;
  const keep = () => {
    if (text === kept) return;
    setKept(text);
    void asking.keepText({ medicines: text }).then(setError);
  };
  return (
    <div className={styles['free']}>
      <TextArea
        label={askWords.medicinesAsTold}
        hint={askWords.namesAndDosesWeLookUp}
        value={text}
        maxLength={2000}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        error={error?.fieldError('medicines')}
      />
      <ul className={styles['recognised']}>
        {asking.state.medicines.map((medicine) => (
          <li key={medicine.name}>
            <span>
              <strong>{medicine.name}</strong>: {medicine.label}
            </span>
            {medicine.conditions.map((id) => (
              <Button key={id} onClick={() => onAnswer(id, 'yes')}>
                {medicine.isCertain ? askWords.add : askWords.askThenAdd}: {label(id)}
              </Button>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The due date tells the trimester, at this visit and at every later one. */
function DueDate({ view, asking }: Pick<Props, 'view' | 'asking'>) {
  const [error, setError] = useState<RequestError>();
  const { pregnancy } = asking.state;
  return (
    <div className={styles['free']}>
      <DateField
        label={askWords.dueDate}
        first={view.dueOn ?? ''}
        onDay={(value) => {
          if (value === '' || /^20\d\d-/.test(value)) void asking.keepText({ dueOn: value || null }).then(setError);
        }}
        hint={
          pregnancy
            ? askWords.weeksAndDaysTodayTrimester(
                pregnancy.weeks,
                pregnancy.days,
                ['first', 'second', 'third'][Number(pregnancy.condition.slice(-1)) - 1] ?? '',
              )
            : askWords.theTrimesterIsWorkedOutFrom
        }
        error={error?.fieldError('dueOn')}
      />
    </div>
  );
}
