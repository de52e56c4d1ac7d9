import { planWords } from './plan.words';
import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { TextArea } from '../../ui/field/Field';
import styles from './ReasonDialog.module.css';

interface Props {
  readonly title: string;
  /** What is broken, a sentence each. */
  readonly faults: readonly string[];
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onMendAll: () => void;
  readonly onKeep: (reason: string) => void;
}

const mostShown = 5;

/** Before a plan that breaks a rule is carried out: mend it, or write why it is kept. */
export function ReasonDialog({ title, faults, isOpen, onClose, onMendAll, onKeep }: Props) {
  const [reason, setReason] = useState('');
  const text = reason.trim();
  return (
    <Dialog title={title} isOpen={isOpen} onClose={onClose}>
      <form
        className={styles['form']}
        onSubmit={(event) => {
          event.preventDefault();
          if (text === '') return;
          onKeep(text);
          onClose();
        }}
      >
        <ul className="marked-list">
          {faults.slice(0, mostShown).map((fault, i) => (
            <li key={`${fault} ${i}`}>{fault}</li>
          ))}
        </ul>
        <TextArea
          label={planWords.whyDoYouKeepItThis}
          value={reason}
          maxLength={400}
          onChange={(event) => setReason(event.target.value)}
        />
        <div className={styles['buttons']}>
          <Button
            onClick={() => {
              onMendAll();
              onClose();
            }}
          >
            {planWords.mendAllInstead}
          </Button>
          <Button look="filled" type="submit" disabled={text === ''}>
            {planWords.keepIt}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
