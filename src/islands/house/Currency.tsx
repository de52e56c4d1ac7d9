import { useState } from 'react';
import { type CurrencyId, currencyIds } from '../../core/money';
import { Select } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import { houseWords } from './house.words';
import styles from './House.module.css';

interface Props {
  readonly first: CurrencyId;
  readonly say: (words: string, tone?: 'error') => void;
}

/** What oils and bottles are paid in. */
export function Currency({ first, say }: Props) {
  const [currency, setCurrency] = useState(first);
  const save = async (next: CurrencyId) => {
    setCurrency(next);
    try {
      await send('PUT /api/house', { body: { currency: next } });
      say(houseWords.savedPricesAreShownIn(next));
    } catch (failure) {
      setCurrency(currency);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['language']}>
      <Select
        label={houseWords.currency}
        value={currency}
        onChange={(event) => void save(event.target.value as CurrencyId)}
      >
        {currencyIds.map((id) => (
          <option key={id} value={id}>
            {id}
          </option>
        ))}
      </Select>
    </div>
  );
}
