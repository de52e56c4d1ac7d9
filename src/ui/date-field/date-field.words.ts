/** What a field for a date says. */
export const dateFieldWords = {
  dayFirst: 'dd/mm/yyyy',
  monthFirst: 'mm/dd/yyyy',
  yearFirst: 'yyyy-mm-dd',
  isNoDate: (example: string) => `That is no date. Write it like ${example}.`,
  chooseInTheCalendar: (label: string) => `${label}: choose in the calendar`,
};
