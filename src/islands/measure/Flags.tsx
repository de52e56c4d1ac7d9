import { measureWords } from './measure.words';
import type { ClientId } from '../../core/ids';
import { useState } from 'react';
import { referralWords } from '../../catalogue/swelling/scales.data';
import type { FlagView } from '../../contracts/measure-views';
import { stopsTreatment } from '../../core/swelling/referral';
import { Button } from '../../ui/button/Button';
import { TextArea } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import styles from './Flags.module.css';
import { capitalise } from '../../core/wording/capitalise';

interface Props {
  readonly clientId: ClientId;
  readonly flags: readonly FlagView[];
  readonly onChange: (flags: readonly FlagView[]) => void;
}

/** Signs that ask for a physician: what, how soon, and what was done; they stay until somebody closes them. */
export function Flags({ clientId, flags, onChange }: Props) {
  if (flags.length === 0) return null;
  return (
    <section className={styles['flags']} aria-label={measureWords.asksForAPhysician}>
      {flags.map((flag) => (
        <Flag
          key={flag.id}
          clientId={clientId}
          flag={flag}
          onClosed={() => onChange(flags.filter(({ id }) => id !== flag.id))}
        />
      ))}
      <p className={styles['small']}>{measureWords.theseAreNoDiagnosisLocalRules}</p>
    </section>
  );
}

interface FlagProps {
  readonly clientId: ClientId;
  readonly flag: FlagView;
  readonly onClosed: () => void;
}

function Flag({ clientId, flag, onClosed }: FlagProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [note, setNote] = useState('');
  const [error, setError] = useState<string>();
  const words = referralWords[flag.level];
  const close = async () => {
    try {
      await send('POST /api/clients/{id}/flags/{key}', { params: { id: clientId, key: flag.id }, body: { note } });
      onClosed();
    } catch (caught) {
      setError(caught instanceof RequestError ? (caught.fieldError('note') ?? caught.message) : sentenceOf(caught));
    }
  };
  return (
    <div className={styles['flag']} data-stops={stopsTreatment(flag.level) ? true : undefined} role="alert">
      <p>
        <strong>{words.label}.</strong> {capitalise(flag.why)}. {words.then}
        {!flag.isOfThisVisit && <span className={styles['small']}>{measureWords.openSince(flag.raised)}</span>}
      </p>
      {isOpen ? (
        <div className={styles['form']}>
          <TextArea
            label={measureWords.whatWasDone}
            value={note}
            rows={2}
            onChange={(event) => setNote(event.target.value)}
            error={error}
            hint={measureWords.whomYouCalledAndWhatThey}
          />
          <Button onClick={() => void close()}>{measureWords.closeItWithThisNote}</Button>
        </div>
      ) : (
        <Button onClick={() => setIsOpen(true)}>{measureWords.writeDownWhatWasDone}</Button>
      )}
    </div>
  );
}
