/** In which order the parts of a date are written. */
export const dateOrders = ['year-month-day', 'day-month-year', 'month-day-year'] as const;
export type DateOrder = (typeof dateOrders)[number];

const parts = /^(\d{1,4})[-./\s](\d{1,2})[-./\s](\d{1,4})$/;

/**
 * Reads a calendar date in the order told; a clock time behind it is left aside. A year of four digits in front says its
 * order itself; eight digits without anything between are read in the order told.
 * @returns YYYY-MM-DD, or undefined for what is no real date
 */
export function readDate(text: string, order: DateOrder): string | undefined {
  const plain = text
    .trim()
    .replace(/[T\s]\d{1,2}:\d{2}.*$/, '')
    .replace(/\s*([-./])\s*/g, '$1');
  const match = parts.exec(/^\d{8}$/.test(plain) ? apart(plain, order) : plain);
  if (!match) return undefined;
  const [a, b, c] = [match[1] ?? '', match[2] ?? '', match[3] ?? ''];
  const isYearFirst = a.length === 4 || order === 'year-month-day';
  const [year, month, day] = isYearFirst ? [a, b, c] : order === 'day-month-year' ? [c, b, a] : [c, a, b];
  if (year.length !== 4) return undefined;
  const iso = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  const time = Date.parse(`${iso}T00:00:00Z`);
  return Number.isNaN(time) || new Date(time).toISOString().slice(0, 10) !== iso ? undefined : iso;
}

/** `18041975` with its parts set apart, as a pad of digits types it. */
const apart = (digits: string, order: DateOrder): string =>
  order === 'year-month-day'
    ? digits.replace(/^(\d{4})(\d\d)(\d\d)$/, '$1-$2-$3')
    : digits.replace(/^(\d\d)(\d\d)(\d{4})$/, '$1/$2/$3');

/**
 * A date as it is typed and shown in fields: `18/04/1975`, `04/18/1975` or `1975-04-18`.
 * @param iso YYYY-MM-DD; what is no such date comes back as it is
 */
export function writeDate(iso: string, order: DateOrder): string {
  const match = /^(\d{4})-(\d\d)-(\d\d)$/.exec(iso);
  if (!match || order === 'year-month-day') return iso;
  const [, year, month, day] = match;
  return order === 'day-month-year' ? `${day}/${month}/${year}` : `${month}/${day}/${year}`;
}

/**
 * A date of which people often know the year only, or year and month: `2024`, `3/2024` or `2024-03`, `18/03/2024`.
 * @returns YYYY, YYYY-MM or YYYY-MM-DD; undefined for what is none of them
 */
export function readRoughDate(text: string, order: DateOrder): string | undefined {
  const plain = text.trim();
  if (/^\d{4}$/.test(plain)) return plain;
  const match = /^(\d{4})[-./](\d{1,2})$/.exec(plain) ?? /^(\d{1,2})[-./](\d{4})$/.exec(plain);
  if (!match) return readDate(plain, order);
  const [year, month] = match[1]?.length === 4 ? [match[1], match[2]] : [match[2], match[1]];
  return Number(month) >= 1 && Number(month) <= 12 ? `${year}-${String(month).padStart(2, '0')}` : undefined;
}

/** Such a date as it stands in a field; the parts that are known, in the order in which the house writes dates. */
export function writeRoughDate(iso: string, order: DateOrder): string {
  const match = /^(\d{4})-(\d\d)$/.exec(iso);
  return match && order !== 'year-month-day' ? `${match[2]}/${match[1]}` : writeDate(iso, order);
}

/** The order that reads most of some dates; day first where both would do. */
export function guessDateOrder(dates: readonly string[]): DateOrder {
  const readable = (order: DateOrder) => dates.filter((date) => readDate(date, order) !== undefined).length;
  const best = (['day-month-year', 'month-day-year', 'year-month-day'] as const).reduce((a, b) =>
    readable(b) > readable(a) ? b : a,
  );
  return dates.length > 0 && dates.every((date) => /^\d{4}/.test(date.trim())) ? 'year-month-day' : best;
}
