/** Sentences of the course ahead, in British English. */
export const courseSays = {
  every: (interval: string) => `every ${interval}`,
  soMany: (visits: string, every: string) => `${visits} ${every}`,
  then: ', then ',
  takesAndHolds: (percent: string, range: string, days: string, daysRange: string) =>
    `A visit takes about ${percent} % of the excess (${range}); a third of that is left after ${days} days (${daysRange}).`,
  range: (low: string, high: string) => `${low} to ${high}`,
  about: (middle: string, low: string, high: string) => `${middle} (${low} to ${high})`,
  lowerThanAnythingMeasured: 'lower than anything measured so far: no forecast',
  week: 'week',
  weeks: (count: number) => `${count} weeks`,
  days: (count: number) => `${count} days`,
  noLongerChange: 'Visits as now no longer change it.',
  whatMayBeRaised:
    'To be raised: the compression and how old it is, what is done at home, the weight, and a new look by whoever refers.',
  notEnoughVisits: (more: string) => `Not enough visits yet: ${more} with both measures, before and after the work.`,
  oneMore: 'one more',
  moreOfThem: (count: string) => `${count} more`,
  tooLittleBeyondError: 'The visits took less than the measuring error: nothing can be said ahead.',
};
