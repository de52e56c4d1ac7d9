/** What the visit head view says, in the order of its files. */
export const visitHeadWords = {
  // VisitHead
  ask: 'Ask',
  missing: (list: string) => `${list} missing`,
  minWith: 'min with',
  backToTheDay: 'Back to the day',
  measure: 'Measure',
  plan: 'Plan',
  prepare: 'Prepare',
  table: 'Table',
  close: 'Close',
};
