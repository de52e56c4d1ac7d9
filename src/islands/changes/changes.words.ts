import { countOf } from '../../core/wording/count';

/** What was measured before and after, in the order of its files. */
export const changesWords = {
  // ChangesOfVisit
  beforeAndAfter: 'Before and after',
  pointByPoint: (count: number) => `The face point by point (${count})`,

  // NeckFan
  turns: 'turns',
  tilts: 'tilts',
  bends: 'bends',
  left: 'left',
  right: 'right',
  back: 'back',
  forward: 'forward',
  dial: (what: string, figures: string) => `Neck ${what}: ${figures}`,
  side: (side: string, before: string, after: string) => `${side} ${before} before, ${after} after`,
  dialKey: 'Outline: before the work. Filled: after it.',

  // ChangesOverVisits
  visitByVisit: 'Before and after, visit by visit',
  aboutIt: 'What one visit gained, and what of it held until the next. Within measuring error nothing is told.',
  what: 'What',
  lastVisit: 'Last taken before and after',
  gained: 'Gained',
  held: 'Held',
  course: 'Before each visit',
  medianOf: (percent: string, count: number) => `${percent} % (${countOf(count, 'visit')})`,
  lostAgain: 'lost again',
  heldAndMore: 'all, and more',
  notKnown: '–',
  courseOf: (values: string) => `Before each visit: ${values}`,
};
