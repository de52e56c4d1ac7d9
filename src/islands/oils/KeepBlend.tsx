import { oilsWords } from './oils.words';
import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import styles from './Oils.module.css';

interface Props {
  readonly name: string;
  readonly onClose: () => void;
  readonly onKeep: (name: string) => void;
}

/** Keeps a blend for everybody in the house. */
export function KeepBlend({ name: first, onClose, onKeep }: Props) {
  const [name, setName] = useState(first);
  return (
    <Dialog title={oilsWords.keepAsABlendOfThe} isOpen onClose={onClose}>
      <form
        className={styles['form']}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') onKeep(name.trim());
        }}
      >
        <Field
          label={oilsWords.name}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          error={name.trim() === '' ? oilsWords.giveItAName : undefined}
          hint={oilsWords.everybodyCanTakeItOneOf}
        />
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{oilsWords.leaveIt}</Button>
          <Button look="filled" type="submit">
            {oilsWords.keep}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
