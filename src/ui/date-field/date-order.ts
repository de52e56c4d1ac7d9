import { useSyncExternalStore } from 'react';
import { type DateOrder, dateOrders } from '../../core/calendar/read-date';

const usual: DateOrder = 'day-month-year';

/** How the house writes dates; the page says it, once for all fields. */
function orderOfPage(): DateOrder {
  const said = document.documentElement.dataset['dates'];
  return dateOrders.find((order) => order === said) ?? usual;
}

const never = () => () => undefined;

export const useDateOrder = (): DateOrder => useSyncExternalStore(never, orderOfPage, () => usual);
