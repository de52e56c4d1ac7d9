import { houseWords } from './house.words';
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
      say(houseWords.keptItStandsOnEverySheet);
    } catch (failure) {
      setError(failure instanceof RequestError ? failure.fieldError('phone') : undefined);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['phone']}>
      <Field
        label={houseWords.whomClientsRing}
        type="tel"
        value={phone}
        onChange={(event) => setPhone(event.target.value)}
        error={error}
        hint={houseWords.printedOnHomeSheets}
      />
      <Button onClick={() => void keep()}>{houseWords.keepTheNumber}</Button>
    </div>
  );
}
