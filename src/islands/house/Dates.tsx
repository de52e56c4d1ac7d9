import { useState } from 'react';
import { type DateOrder, dateOrders } from '../../core/calendar/read-date';
import { Select } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import { houseWords } from './house.words';
import styles from './House.module.css';

const namesOf: Readonly<Record<DateOrder, string>> = {
  'day-month-year': houseWords.dayFirst,
  'month-day-year': houseWords.monthFirst,
  'year-month-day': houseWords.yearFirst,
};

interface Props {
  readonly first: DateOrder;
  readonly say: (words: string, tone?: 'error') => void;
}

/** How dates are typed and shown in fields, on every device of the house. */
export function Dates({ first, say }: Props) {
  const [order, setOrder] = useState(first);
  const save = async (next: DateOrder) => {
    setOrder(next);
    try {
      await send('PUT /api/house', { body: { dateOrder: next } });
      document.documentElement.dataset['dates'] = next;
      say(houseWords.savedDatesAreWritten(namesOf[next]));
    } catch (failure) {
      setOrder(order);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['language']}>
      <Select
        label={houseWords.datesInFields}
        value={order}
        onChange={(event) => void save(event.target.value as DateOrder)}
      >
        {dateOrders.map((id) => (
          <option key={id} value={id}>
            {namesOf[id]}
          </option>
        ))}
      </Select>
    </div>
  );
}
