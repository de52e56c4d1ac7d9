import { askWords } from './ask.words';
import type { ConditionId } from '../../core/ids';
import type { Pressure } from '../../core/screening/tables';
import { type FormEvent, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { AskState } from '../../contracts/ask-views';
import type { PlacedFinding } from '../../contracts/people-views';
import type { ConditionView, DecisionView } from '../../contracts/screening-views';
import { shortLabel } from '../../core/anatomy/place-labels';
import { dayInWords } from '../../core/visit/words';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select, TextArea } from '../../ui/field/Field';
import type { RequestError } from '../api';
import styles from './FindingDetail.module.css';
import type { Asking } from './useAsk';
import { DateField } from '../../ui/date-field/DateField';
import { RoughDateField } from '../../ui/date-field/RoughDateField';

interface Props {
  readonly finding: PlacedFinding;
  readonly condition: ConditionView | undefined;
  readonly conditions: readonly ConditionView[];
  readonly state: AskState;
  readonly asking: Asking;
  readonly isMarking: boolean;
  readonly onMark: () => void;
  /** Adds a finding that answers a follow-up question. */
  readonly onAdd: (condition: ConditionId) => void;
}

/** What is still to be known of a finding: side, place, date, follow-up questions, a clearance note. */
export function FindingDetail(props: Props) {
  const { finding, condition, conditions, state, asking, isMarking, onMark, onAdd } = props;
  const [error, setError] = useState<RequestError>();
  const [isNoting, setIsNoting] = useState(false);
  const open = state.screening.questions.filter((question) => question.condition === finding.id);
  const followUps = open.filter((question) => question.kind === 'follow-up');
  const needsNote = open.some((question) => question.kind === 'clearance');
  const change = (next: Partial<PlacedFinding>) => void asking.changeFinding(finding, next).then(setError);
  const places = [...(finding.regions ?? [])];
  const isPlaceable = finding.locatable !== 'no' && finding.locatable !== 'side';
  return (
    <div className={styles['detail']}>
      {finding.isUnsure && <p className={styles['unsure']}>{askWords.countsAsSoUntilItHas}</p>}
      <div className={styles['fields']}>
        {finding.locatable === 'side' && (
          <Choice
            label={askWords.sideOfTheClient}
            options={[
              { value: 'left', text: askWords.left },
              { value: 'right', text: askWords.right },
              { value: 'both', text: askWords.both },
            ]}
            value={finding.side ?? null}
            onChange={(side) => change({ side })}
          />
        )}
        {isPlaceable && (
          <div className={styles['place']}>
            <Button onClick={onMark} aria-pressed={isMarking}>
              {isMarking ? askWords.doneMarking : places.length > 0 ? askWords.changeThePlace : askWords.markOnTheBody2}
            </Button>
            <span>
              {isMarking
                ? finding.locatable === 'line'
                  ? askWords.pickTheTwoNeighboursThatThe
                  : askWords.pickThePlacesOnceMoreTakes
                : places.length > 0
                  ? places.map((id) => shortLabel(anatomy, id)).join(', ')
                  : askWords.notMarkedCountsAsEverywhere}
            </span>
          </div>
        )}
        {condition?.dated && (
          <SinceField
            value={finding.sinceOn}
            error={error?.fieldError('sinceOn')}
            onKeep={(sinceOn) => change({ sinceOn })}
          />
        )}
      </div>
      {error && !error.fieldError('sinceOn') && (
        <p role="alert" className={styles['error']}>
          {error.message}
        </p>
      )}
      {followUps.map((question) => {
        const id = question.id.slice(finding.id.length + 1);
        const answers = (value: string) => change({ answers: { ...finding.answers, [id]: value } });
        const leads = conditions.filter((c) => leadsOf(question.id).includes(c.id));
        return (
          <div key={question.id} className={styles['follow']}>
            <p>{question.text}</p>
            <div>
              <Button onClick={() => answers('no')}>{askWords.no}</Button>
              <Button onClick={() => answers('yes')}>{askWords.yes}</Button>
              {leads.map((lead) => (
                <Button key={lead.id} onClick={() => onAdd(lead.id)}>
                  {lead.label}
                </Button>
              ))}
            </div>
          </div>
        );
      })}
      {finding.clearance ? (
        <p className={styles['note']} data-valid={finding.clearance.isValid}>
          {finding.clearance.isValid ? askWords.note : askWords.noteThatHasRunOut} {askWords.of}{' '}
          {dayInWords(finding.clearance.date)} {askWords.by} {finding.clearance.writtenBy}: “{finding.clearance.words}”{' '}
          {finding.clearance.limitWords !== '' && askWords.itLimitsTheWork(finding.clearance.limitWords)}
          {finding.clearance.isValid && askWords.countsUntil(dayInWords(finding.clearance.until))}
        </p>
      ) : null}
      {needsNote && (
        <p className={styles['note']}>
          {askWords.aWrittenNoteFromTheTreating}{' '}
          <Button look="link" onClick={() => setIsNoting(true)}>
            {askWords.addTheNote}
          </Button>
        </p>
      )}
      {isNoting && (
        <AddNote
          finding={finding}
          decisions={state.screening.decisions}
          asking={asking}
          onClose={() => setIsNoting(false)}
        />
      )}
    </div>
  );
}

/** Findings that a follow-up may lead to; read off the name of the question. */
const leads: Readonly<Record<string, readonly string[]>> = {
  'cancer-past.nodes': ['nodes-removed-axillary', 'nodes-removed-inguinal', 'nodes-removed-neck'],
  'irradiated-skin.nodes': ['nodes-removed-axillary', 'nodes-removed-inguinal', 'nodes-removed-neck'],
  'breast-surgery-recent.nodes': ['nodes-removed-axillary', 'nodes-sentinel-axillary'],
  'nodes-removed-axillary.swelling': ['lymphoedema-one-limb'],
  'nodes-removed-inguinal.swelling': ['lymphoedema-one-limb'],
  'nodes-removed-axillary.radiation': ['irradiated-skin'],
  'nodes-removed-inguinal.radiation': ['irradiated-skin'],
  'nodes-removed-neck.radiation': ['irradiated-skin'],
  'nodes-sentinel-axillary.radiation': ['irradiated-skin'],
  'diabetes-controlled.feet': ['neuropathy'],
  'diabetes-uncontrolled.feet': ['neuropathy'],
};
const leadsOf = (question: string): readonly string[] => leads[question] ?? [];

interface SinceFieldProps {
  readonly value: string | null;
  readonly error: string | undefined;
  readonly onKeep: (value: string | null) => void;
}

/** A year, a year and a month, or a whole date; kept when one leaves it or presses Enter. */
function SinceField({ value, error, onKeep }: SinceFieldProps) {
  const [date, setDate] = useState(value ?? '');
  return (
    <RoughDateField
      label={askWords.whenYearMonthOrDay}
      value={date}
      error={error}
      className={styles['date']}
      onDate={setDate}
      onKeep={(next) => {
        if ((next || null) !== value) onKeep(next || null);
      }}
    />
  );
}

interface AddNoteProps {
  readonly finding: PlacedFinding;
  readonly decisions: readonly DecisionView[];
  readonly asking: Asking;
  readonly onClose: () => void;
}

/** The exact words of a note, who wrote it and what it is about. A spoken “my doctor says it is fine” is no note. */
function AddNote({ finding, decisions, asking, onClose }: AddNoteProps) {
  const [error, setError] = useState<RequestError>();
  const wanted = decisions.filter((decision) => decision.decision === 'clear-first' || decision.decision === 'modify');
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const chosen = form.getAll('modality').map(String);
    const refused = await asking.addClearance(finding, {
      date: String(form.get('date') ?? ''),
      writtenBy: String(form.get('writtenBy') ?? ''),
      words: String(form.get('words') ?? ''),
      modalities: form.get('all') ? 'all' : chosen,
      limits: {
        ...(form.get('maxPressure') ? { maxPressure: form.get('maxPressure') as Pressure } : {}),
        ...(form.get('maxMinutes') ? { maxMinutes: Number(form.get('maxMinutes')) } : {}),
        ...(form.get('noHeat') ? { noHeat: true } : {}),
      },
    });
    if (refused) setError(refused);
    else onClose();
  };
  return (
    <Dialog title={askWords.noteAbout(finding.label)} isOpen onClose={onClose}>
      <form className={styles['form']} onSubmit={(event) => void save(event)} noValidate>
        <p>{askWords.copyAWrittenNoteWhatWas}</p>
        <DateField label={askWords.writtenOn} name="date" error={error?.fieldError('date')} />
        <Field
          label={askWords.byWhomNameAndRole}
          name="writtenBy"
          maxLength={120}
          error={error?.fieldError('writtenBy')}
        />
        <TextArea label={askWords.itsWords} name="words" maxLength={2000} error={error?.fieldError('words')} />
        <fieldset>
          <legend>{askWords.itIsAbout}</legend>
          <label>
            <input type="checkbox" name="all" value="all" /> {askWords.allThatWeDo}
          </label>
          {wanted.map((decision) => (
            <label key={decision.modality}>
              <input
                type="checkbox"
                name="modality"
                value={decision.modality}
                defaultChecked={decision.decision === 'clear-first'}
              />{' '}
              {decision.label}
            </label>
          ))}
        </fieldset>
        <div className={styles['row']}>
          <Select label={askWords.noFirmerThan} name="maxPressure">
            <option value="">{askWords.theNoteDoesNotSay}</option>
            <option value="feather">{askWords.featherLight}</option>
            <option value="light">{askWords.light}</option>
            <option value="medium">{askWords.medium}</option>
          </Select>
          <Field
            label={askWords.atMostMinutes}
            name="maxMinutes"
            type="number"
            inputMode="numeric"
            error={error?.fieldError('limits')}
          />
          <label>
            <input type="checkbox" name="noHeat" /> {askWords.noHeat}
          </label>
        </div>
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        {error?.fieldError('modalities') && <p role="alert">{error.fieldError('modalities')}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{askWords.cancel}</Button>
          <Button look="filled" type="submit">
            {askWords.keepTheNote}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
