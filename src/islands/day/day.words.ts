import { countOf } from '../../core/wording/count';

/** What the day view says, in the order of its files. */
export const dayWords = {
  // Countdown
  inMin: (minutes: number) => `in ${minutes} min`,
  minLate: (value: number) => `${value} min late`,

  // DayAside
  theWeekAndLooseEnds: 'The week and loose ends',
  thisWeek: 'This week',
  bookAVisit: 'Book a visit',
  visits: (visits: number) => `, ${countOf(visits, 'visit')}`,
  today: ', today',
  weekBefore: '← Week before',
  weekAfter: 'Week after →',
  looseEnds: 'Loose ends',
  noneEveryRecordBeforeTodayIs: 'None. Every record before today is closed.',
  outOfTheHouse: 'Messages',
  reminders: 'Reminders',
  notDelivered: (failed: number) => `${failed} not delivered`,
  toSend: (due: number) => `${due} to send`,
  noneDue: 'none due',
  myCalendar: 'My calendar',
  followOrDownload: 'follow or download',
  goodToKnow: 'Good to know',
  velvetStoneSupportsTrainedHandsIt:
    'Velvet Stone supports trained hands. It is no medical device; local law, professional codes and the limits of your licence come first.',

  // DayThread
  begin: 'Begin',
  goOnMeasure: 'Go on: measure',
  goOnPlan: 'Go on: plan',
  goOnPrepare: 'Go on: prepare',
  backToTheTable: 'Back to the table',
  closeTheRecord: 'Close the record',
  seeWhy: 'See why',
  noVisits: 'no visits',
  closed: (over: number) => ` · ${over} closed`,
  nothingIsBooked: 'Nothing is booked',
  bookAVisitOnTheRight: '. Book a visit on the right, or',
  first: 'first.',
  today2: 'today',
  onThisDay: 'on this day',
  findAClient: 'find a client',
  min: (minutes: number) => `${minutes} min`,
  done: ', done',
  open: 'Open',
  contact: 'Contact',
};
