import { type FormEvent, useRef, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './Door.module.css';

interface Props {
  readonly label: string;
  readonly button: string;
  /** Shows that it is still oneself, instead of opening what is shut. */
  readonly isProof?: boolean;
  readonly onOpen: () => void;
  /** Too many wrong ones: the password is asked for. */
  readonly onEnded: () => void;
}

/** Digits that open a locked screen, or give a tablet back. */
export function PinForm({ label, button, isProof = false, onOpen, onEnded }: Props) {
  const [trouble, setTrouble] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    try {
      const body = { pin: input.current?.value ?? '' };
      await (isProof ? send('POST /api/session/prove', { body }) : send('POST /api/session/unlock', { body }));
      onOpen();
    } catch (error) {
      if (!(error instanceof RequestError)) throw error;
      if (error.status === 401) onEnded();
      setTrouble(error.message);
      if (input.current) input.current.value = '';
      input.current?.focus();
    }
  };
  return (
    <form className={styles['pinForm']} onSubmit={(event) => void submit(event)} noValidate>
      <Field
        ref={input}
        label={label}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        className={styles['pin'] ?? ''}
        error={trouble}
      />
      <Button look="filled" type="submit">
        {button}
      </Button>
    </form>
  );
}
