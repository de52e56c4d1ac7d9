import { askWords } from './ask.words';
import { type FormEvent, useState } from 'react';
import type { AskState } from '../../contracts/ask-views';
import type { DecisionView, LimitView } from '../../contracts/screening-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Select, TextArea } from '../../ui/field/Field';
import type { RequestError } from '../api';
import styles from './Decisions.module.css';
import { DecisionSign, decisionWords } from './Signs';
import type { Asking } from './useAsk';

interface Props {
  readonly state: AskState;
  readonly asking: Asking;
  /** The work that is opened; its places are shaded on the body. */
  readonly open: string | undefined;
  readonly onOpen: (modality: string | undefined) => void;
}

/** What the answers allow: a line for each kind of work, opened to reasons, limits and places. */
export function Decisions({ state, asking, open, onOpen }: Props) {
  const { screening } = state;
  const [changing, setChanging] = useState<{ readonly decision: DecisionView; readonly limit: LimitView | null }>();
  const plain = screening.decisions.filter((d) => d.decision === 'ok' && d.line === '');
  const others = screening.decisions.filter((d) => !plain.includes(d));
  return (
    <>
      <ul className={styles['list']}>
        {others.map((decision) => (
          <li key={decision.modality} data-decision={decision.decision}>
            <button
              type="button"
              className={styles['row']}
              aria-expanded={open === decision.modality}
              onClick={() => onOpen(open === decision.modality ? undefined : decision.modality)}
            >
              <DecisionSign decision={decision.decision} />
              <span>
                <strong>{decision.label}</strong>
                <small>{decision.line || decisionWords(decision.decision)}</small>
              </span>
            </button>
            {open === decision.modality && (
              <Detail
                decision={decision}
                overrides={screening.overrides.filter((o) => o.modality === decision.modality)}
                onChange={(limit) => setChanging({ decision, limit })}
                onTakeBack={(key) => void asking.restoreLimit(key)}
              />
            )}
          </li>
        ))}
      </ul>
      {plain.length > 0 && (
        <p className={styles['plain']}>
          <DecisionSign decision="ok" />
          <span>
            <strong>{askWords.goAheadUsualLimits}</strong>
            <small>{plain.map((d) => d.label).join(', ')}</small>
          </span>
        </p>
      )}
      {changing && <SetAside {...changing} asking={asking} onClose={() => setChanging(undefined)} />}
    </>
  );
}

interface DetailProps {
  readonly decision: DecisionView;
  readonly overrides: AskState['screening']['overrides'];
  readonly onChange: (limit: LimitView | null) => void;
  readonly onTakeBack: (key: number) => void;
}

function Detail({ decision, overrides, onChange, onTakeBack }: DetailProps) {
  return (
    <div className={styles['detail']}>
      {decision.limits.length > 0 && (
        <>
          <h4>{askWords.limits}</h4>
          <ul className={styles['limits']}>
            {decision.limits.map((limit) => (
              <li key={limit.key}>
                {limit.words}
                {limit.looser.length > 0 && (
                  <Button look="link" onClick={() => onChange(limit)} aria-label={askWords.loosen2(limit.words)}>
                    {askWords.loosen}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {decision.places.length > 0 && (
        <>
          <h4>{askWords.inPlaces}</h4>
          <ul className={styles['places']}>
            {decision.places.map((place) => (
              <li key={`${place.decision} ${place.regions.join(' ')}`}>
                <DecisionSign decision={place.decision} />
                <span>
                  <strong>{place.words}</strong>
                  <small>{place.limits.join('; ') || place.reasons[0]?.text}</small>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      <h4>{askWords.why}</h4>
      <ul className={styles['reasons']}>
        {decision.reasons.map((reason) => (
          <li key={`${reason.what} ${reason.text} ${reason.isLocal}`}>
            <strong>{reason.what}</strong> {reason.text}
            {reason.isLocal && <em> {askWords.inPlaces2}</em>}
          </li>
        ))}
        {decision.reasons.length === 0 && <li>{askWords.nothingSpeaksAgainstIt}</li>}
      </ul>
      {overrides.map((override) => (
        <p key={override.key} className={styles['override']}>
          {askWords.setAsideBy} {override.by}: {override.words}. “{override.reason}”
          <Button look="link" onClick={() => onTakeBack(override.key)} aria-label={askWords.takeBack2(override.words)}>
            {askWords.takeBack}
          </Button>
        </p>
      ))}
      {decision.decision === 'stop' && decision.way === 'written-reason' && (
        <Button onClick={() => onChange(null)}>{askWords.doItWithAWrittenReason}</Button>
      )}
      {decision.decision === 'clear-first' && <p className={styles['hint']}>{askWords.onlyAWrittenNoteLiftsThis}</p>}
    </div>
  );
}

interface SetAsideProps {
  readonly decision: DecisionView;
  readonly limit: LimitView | null;
  readonly asking: Asking;
  readonly onClose: () => void;
}

/** A limit or a soft stop set aside for this visit, by somebody who writes why. */
function SetAside({ decision, limit, asking, onClose }: SetAsideProps) {
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const chosen = limit?.looser[Number(form.get('value') ?? 0)];
    const refused = await asking.setLimitAside({
      modality: decision.modality,
      key: limit?.key ?? 'decision',
      value: limit ? (chosen?.value ?? null) : 'modify',
      reason: String(form.get('reason') ?? ''),
    });
    if (refused) setError(refused);
    else onClose();
  };
  const other = error && !error.fieldError('reason') ? error.message : undefined;
  return (
    <Dialog title={`${decision.label}: ${limit ? limit.words : askWords.inSpiteOfTheStop}`} isOpen onClose={onClose}>
      <form onSubmit={(event) => void save(event)} className={styles['form']}>
        <p>{askWords.forThisVisitOnlyItStands}</p>
        {limit && (
          <Select label={askWords.loosenedTo} name="value">
            {limit.looser.map((choice, i) => (
              <option key={choice.words} value={i}>
                {choice.words}
              </option>
            ))}
          </Select>
        )}
        <TextArea label={askWords.why} name="reason" maxLength={400} autoFocus error={error?.fieldError('reason')} />
        {other && <p role="alert">{other}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{askWords.keepTheLimit}</Button>
          <Button look="filled" type="submit">
            {askWords.setAside}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
