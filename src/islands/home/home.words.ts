import { countOf, timesText } from '../../core/wording/count';

/** What the home view says, in the order of its files. */
export const homeWords = {
  // Given
  keptPrintItOrMakeA: 'Saved. Print it, or make a link.',
  giveThisSheet: 'Give this sheet',
  nothingIsGivenYet: 'Nothing is given yet.',
  sinceBy: (day: string, by: string) => `since ${day}, by ${by}`,
  notTickedYet: 'Not ticked yet.',
  printA: 'Print A4',
  letter: 'Letter',
  newLink: 'New link',
  makeALink: 'Make a link',
  paperLog: 'Paper log',
  copyIt: 'Copy it',
  worksUntilWithoutASignIn: (until: string) =>
    `Works until ${until}, without a sign-in. It is shown only now: afterwards make a new one, and this one stops.`,
  aLinkWorksUntil: (linkUntil: string) => `A link works until ${linkUntil}.`,
  takeTheLinkBack: 'Take the link back',
  endThisSheet: 'End this sheet',
  earlier: (count: number) => `Earlier (${count})`,
  sinceOf: (title: string, day: string, done: number, asked: number) => `${title}, since ${day}: ${done} of ${asked}`,

  // HomeMap

  // HomeSheetView
  whatFor: 'What for',
  forHome: 'For home',
  theSheet: 'The sheet',
  given: 'Given',

  // PaperLog
  theLogIsKept: 'The log is saved.',
  tickedOnThePaper: 'Ticked on the paper',
  keepTheLog: 'Save the log',

  // Preview
  drawingItUp: 'Drawing it up …',
  nothingToShow: 'Nothing to show.',
  worked: 'worked',
  steps: (count: number, minutes: string) => `${countOf(count, 'step')}. ${minutes}`,
  leftOut: (count: number) => `Left out (${count})`,

  // WishForm
  routine: 'Routine',
  side: 'Side',
  left: 'left',
  right: 'right',
  both: 'both',
  theClientCan: 'The client can',
  bendDownToTheFoot: 'bend down to the foot',
  useTheLeftHand: 'use the left hand',
  useTheRightHand: 'use the right hand',
  minutes: 'Minutes',
  daysAWeek: 'Days a week',
  timesADay: 'Times a day',
  time: (n: number) => `Time ${n}`,
  time2: 'Time',
  language: 'Language',
  aWordOfYours: 'Your own note',
  printedOnTheSheetNoNames: 'Printed on the sheet. No names of illnesses: others may see it.',
  atMostAWeek: (most: number, why: string) => `At most ${timesText(most)} in seven days${why === '' ? '' : `: ${why}`}`,
  doneOfTimes: (done: number, asked: number, which: string) => `Done ${done} of ${asked} times${which}.`,
  copied: 'Copied.',
};
