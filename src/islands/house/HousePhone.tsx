import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import styles from './House.module.css';

interface Props {
  readonly first: string;
  readonly say: (words: string, tone?: 'error') => void;
}

/** Whom clients ring: on home sheets, and on the page behind their link. */
export function HousePhone({ first, say }: Props) {
  const [phone, setPhone] = useState(first);
  const [error, setError] = useState<string>();
  const keep = async () => {
    try {
      await send('PUT /api/house', { body: { phone } });
      setError(undefined);
      say('Kept: it stands on every sheet from now on.');
    } catch (failure) {
      setError(failure instanceof RequestError ? failure.fieldError('phone') : undefined);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['phone']}>
      <Field
        label="Whom clients ring"
        type="tel"
        value={phone}
        onChange={(event) => setPhone(event.target.value)}
        error={error}
        hint="Printed on home sheets."
      />
      <Button onClick={() => void keep()}>Keep the number</Button>
    </div>
  );
}
