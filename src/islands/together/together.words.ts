import { countOf } from '../../core/wording/count';

/** What is said of work and what went together with it. */
export const togetherWords = {
  title: 'Which work went together with what changed',
  neverACause:
    'Visits with more of it beside visits with less, as the table measured them. It went together; whether it was the cause nobody can see from this: the work was chosen by how the client came.',
  moreVisitsFirst: (least: number, now: number) =>
    `Shown from ${countOf(least, 'visit')} on that were led at the table and measured before and after; so far ${now}.`,
  nothingDiffered:
    'The work was alike at every visit, or too little was measured both times: there is nothing to set side by side.',
  byChance: (looked: string, chance: string) => `${looked} looked at; about ${chance} would stand out by chance alone.`,
  work: 'Work',
  changed: 'What changed',
  moreAndLess: 'More of it, and less',
  withMore: 'With more of it',
  interval: '95 % interval',
  better: (by: string) => `${by} better`,
  worse: (by: string) => `${by} worse`,
  fromTo: (low: string, high: string, unit: string) => `${low} to ${high} ${unit}`,
  /** Steps of a scale or a grade are counted. */
  unit: (unit: string) => ({ 'of 10': 'points', grade: 'grades' })[unit] ?? unit,
  wentTogether: 'went together',
  noDifference: 'no difference to be seen',
  timeOfVisits: (clock: string, visits: string) => `${clock} in ${visits}`,

  // House
  inThisHouse: 'What went together in this house',
  eachClientOnce:
    'Each client is compared with themselves and counts once. Nobody is named, and nothing is shown of fewer than ten.',
  moreClientsFirst: (least: number, visits: number, now: number) =>
    `Shown from ${countOf(least, 'client')} on with ${visits} such visits each; so far ${now}.`,
  clients: 'Clients',
  lookingThrough: 'Looking through the visits …',
  stop: 'Stop',
  lookAgain: 'Look again',
};
