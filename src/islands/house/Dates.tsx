import { type DateOrder, dateOrders } from '../../core/calendar/read-date';
import { Select } from '../../ui/field/Field';
import type { Say } from '../../ui/toast/useToasts';
import { houseWords } from './house.words';
import styles from './House.module.css';
import { useHouseFact } from './useHouseFact';

const namesOf: Readonly<Record<DateOrder, string>> = {
  'day-month-year': houseWords.dayFirst,
  'month-day-year': houseWords.monthFirst,
  'year-month-day': houseWords.yearFirst,
};

interface Props {
  readonly first: DateOrder;
  readonly say: Say;
}

/** How dates are typed and shown in fields, on every device of the house. */
export function Dates({ first, say }: Props) {
  const [order, change] = useHouseFact('dateOrder', first, say, (next) => {
    document.documentElement.dataset['dates'] = next;
    return houseWords.savedDatesAreWritten(namesOf[next]);
  });
  return (
    <div className={styles['language']}>
      <Select
        label={houseWords.datesInFields}
        value={order}
        onChange={(event) => change(event.target.value as DateOrder)}
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
