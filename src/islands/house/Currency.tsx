import { type CurrencyId, currencyIds } from '../../core/money';
import { Select } from '../../ui/field/Field';
import type { Say } from '../../ui/toast/useToasts';
import { houseWords } from './house.words';
import styles from './House.module.css';
import { useHouseFact } from './useHouseFact';

interface Props {
  readonly first: CurrencyId;
  readonly say: Say;
}

/** What oils and bottles are paid in. */
export function Currency({ first, say }: Props) {
  const [currency, change] = useHouseFact('currency', first, say, houseWords.savedPricesAreShownIn);
  return (
    <div className={styles['language']}>
      <Select
        label={houseWords.currency}
        value={currency}
        onChange={(event) => change(event.target.value as CurrencyId)}
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
