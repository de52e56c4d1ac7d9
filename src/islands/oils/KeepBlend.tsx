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
    <Dialog title="Keep as a blend of the house" isOpen onClose={onClose}>
      <form
        className={styles['form']}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') onKeep(name.trim());
        }}
      >
        <Field
          label="Name"
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          error={name.trim() === '' ? 'Give it a name.' : undefined}
          hint="Everybody can take it; one of the same name is replaced. No client’s name in it."
        />
        <div className={styles['buttons']}>
          <Button onClick={onClose}>Leave it</Button>
          <Button look="filled" type="submit">
            Keep
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
