import { countOf } from '../../core/wording/count';

/** What the close view says, in the order of its files. */
export const closeWords = {
  // Ahead
  theCourseAheadOf: (limb: string) => `The course ahead, ${limb}`,
  excessInTwelveWeeks: 'Excess in twelve weeks, with its range',
  aVisitEvery: (every: string) => `Every ${every}`,
  visitsOf: (visits: number) => countOf(visits, 'visit'),
  anEstimate: 'An estimate from this client’s own visits, never a promise.',
  moreOnProgress: 'Goal and series on Progress',

  // Two versions side by side
  factPressure: 'Pressure',
  factComfort: 'Comfort, of 10',
  factRelaxationBefore: 'Relaxed before, of 10',
  factRelaxationAfter: 'Relaxed after, of 10',
  factWarmth: 'Warmth',
  factScent: 'Scent',
  factRednessBefore: 'Redness before, 0 to 4',
  factRedness: 'Redness after, 0 to 4',
  factFade: 'Faded after, minutes',
  factNote: 'Note',
  factBodyOil: 'Body oil, mL',
  factFaceOil: 'Face oil, mL',
  factStones: 'Stones used',
  factAftercare: 'Aftercare',
  notAllSavedYet: 'Not everything is saved yet: see what the line beside the heading says, then try again.',

  // Aftercare
  moreToSay: 'More to say',
  printIt: 'Print it',
  homeSheet: 'Home sheet',

  // CloseView
  drained: 'drained',
  notDrainedThisTime: 'not drained this time',
  whatWasWorked: 'What was worked',
  workedOn: (name: string) => `Worked on ${name}`,
  howItWas: 'How it was',
  howWasIt: 'How was it?',
  letTheClientAnswer: 'Let the client answer',
  forTheRecordTheClientMay: 'For the record; the client may ask to see it.',
  correctTheRecord: 'Correct the record',
  backTo: (name: string) => `Back to ${name}`,
  signTheCorrection: 'Sign the correction',
  closeTheVisit: 'Close the visit',
  whatWasDoneAndMeasured: 'What was done and measured',
  measuredAgain: 'Measured again',
  done: 'Done',

  // Done
  nothingWasDoneAtTheTable: 'Nothing was done at the table yet.',
  more: (n: number) => `${n} more`,
  ofStepsInOfMin: (done: number, planned: number, seconds: string, plannedSeconds: string) =>
    `${done} of ${planned} steps in ${seconds} of ${plannedSeconds} min.`,
  notGiven: (n: string) => `Not given: ${n}.`,
  otherRepetitions: 'Other repetitions:',
  ofAnotherDeviceAreOnRecord: 'of another device are on record, and not counted.',
  press: 'press',
  presses: 'presses',
  theTreatmentIsNotAtIts: 'The treatment is not at its end: back to the table',

  // Feedback
  saidByTheClient: 'said by the client',
  lighterNextTime: 'lighter next time',
  justRight: 'just right',
  couldBeDeeper: 'could be deeper',
  lighterPleaseNow: 'Lighter, please: now.',
  tooHotCoolItNow: 'Too hot: cool it now.',
  relaxedBeforeTo: 'Relaxed before, 0 to 10',
  relaxedNowTo: 'Relaxed now, 0 to 10',

  // Marked
  marked: 'Marked',
  onWhichSideWas: 'On which side was “',
  sideOf: (name: string) => `Side of “${name}”`,
  takeIntoTheNote: 'Take into the note',

  // Measured
  seeTheAfterMeasure: 'See the after-measure',
  measureAgain: 'Measure again',
  nothingWasTapedBeforeTheWork: 'Nothing was taped before the work, so an after-measure has nothing to stand beside.',
  before: 'Before:',
  tapeTheSamePointsWithThe: '. Tape the same points with the marks left on.',
  overTheOtherSide: (text: string) => `${text} over the other side`,
  theTwoTapingsShareTooFew: 'The two tapings share too few marks to be compared.',
  before2: 'before,',
  afterOverTheMarksTapedBoth: 'after, over the marks taped both times.',
  beyondMeasuringError: (limit: string) => `Beyond measuring error (${limit}).`,
  withinMeasuringErrorMayBeNo: (limit: string) => `Within measuring error (${limit}): may be no change.`,

  // NextVisit
  nextVisit: 'Next visit',
  booked: (booked: string) => `Booked: ${booked}`,
  bookIt: 'Book it …',
  theCalendarOpens: 'Opening the calendar …',
  itIsInTheCalendar: 'it is in the calendar.',

  // ShortTape
  shortestFormTheAtThreeMarks: (side: string, limb: string) => `Shortest form: the ${side} ${limb} at three marks`,
  after: (side: string, limb: string, n: string, unit: string) => `after, ${side} ${limb}, ${n} ${unit}`,

  // Signed
  by: 'by',
  on: 'on',
  version: ', version',
  signedTimesLast: (count: number) => `Signed ${count} times, last`,
  signed: 'Signed',
  whatWasChangedSinceIsNot: ' What was changed since is not signed yet.',

  // SkinAfter
  lookAgainAfterAndMinutesAnd: 'Look again after 5, 15 and 30 minutes, and note when it is back.',
  fadedWithinHalfAnHourExpected: 'Faded within half an hour: expected.',
  notBackWithinHalfAnHour: 'Not back within half an hour: ask the client to look again, and tell you.',
  aReactionItIsShownBefore: 'A reaction: it is shown before the next treatment.',
  rednessBeforeTheWork: 'Redness before the work',
  rednessOfTheSkin: 'Redness of the skin',
  backAfter: 'Back after',
  minutes: (minutes: number) => `${minutes} minutes`,
  notYetAt: 'not yet at 30',
  strongRednessAfterLightWorkIs:
    'Strong redness after light work is a reaction: cool, look again in ten minutes, and ask a physician if it spreads, stays hot or hurts.',

  // Used
  bodyOil: 'Body oil',
  faceOil: 'Face oil',
  used: 'Used',
  drawnFromItsBottleAtThe: ' drawn from its bottle at the close',
  drawnWhenItWasMixed: ' drawn when it was mixed',
  notMixedNothingIsDrawn: ' not mixed: nothing is drawn',
  ml: 'mL',
  stones: 'Stones',
  used2: 'used',

  // useClosing
  saved: 'saved',

  // keys
  nextQuestion: 'next question',
  chooseAnAnswer: 'choose an answer',
  closeTheVisitKey: 'close the visit',
  comfort0To10: 'Comfort, 0 to 10',
};
