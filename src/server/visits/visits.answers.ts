/** Sentences that the server answers in `visits`, in British English; a sentence with values in it is a function of them. */
export const visitsAnswers = {
  noteOf: (label: string, shortDay: string, writtenBy: string) => `${label}: note of ${shortDay}, ${writtenBy}`,
  dueOn: (shortDay: string) => `due on ${shortDay}`,
  linesOfTheFace: 'lines of the face',
  lymphDrainage: 'Lymph drainage',
  lookAtTheSkinAgain: 'Look at the skin again',
  closedComfortOf10: (comfort: number) => `closed · comfort ${comfort} of 10`,
  stoppedAtTheCheck: 'stopped at the check',
  didNotTakePlace: 'did not take place',
  firstVisit: 'first visit',
  lastTimeOverThe: (number: string, text: string, which: string, limb: string) =>
    `${number} · last time ${text} over the ${which} ${limb}`,
  patchTest: (client: string) => `${client}: patch test`,
  andMore: (length: number) => ` and ${length} more`,
  recordToFinish: (name: string) => `${name}: record to finish`,
  inWeeks: (days: number) => `in ${days} weeks`,
  inDays: (days: number) => `in ${days} days`,
  keepTheNoteWithinCharacters: (longestNote: number) => `Keep the note within ${longestNote} characters.`,
  thisVisitIsClosedTellYour: 'This visit is closed: tell your therapist instead.',
  thereIsNoSuchTherapistIn: 'There is no such therapist in this house.',
  inAWeek: 'in a week',
};
