/** Sentences that the server answers in `table`, in British English; a sentence with values in it is a function of them. */
export const tableAnswers = {
  makeAPlanFirst: 'Make a plan first.',
  theCheckStoppedThisVisit: 'The check stopped this visit.',
  closeItWithANoteFirst: (label: string, why: string) => `${label}: ${why}. Close it with a note first.`,
  beforeTheTable: (gatesInWords: string) => `Before the table: ${gatesInWords}.`,
  findingsOrTherapistHaveChangedSince: 'Findings or therapist have changed since this plan was made: plan again.',
  thisPlanIsNotToBe: 'This plan is not to be carried out.',
  theCourseBreaksARuleMend: 'The course breaks a rule: mend it, or write why you keep it.',
  nothingOfWhatWasChosenMay: 'Nothing of what was chosen may be given.',
  evenTheShortestFormTakesSeconds: (shortBySeconds: number) =>
    `Even the shortest form takes ${shortBySeconds} seconds more than there are.`,
  mendItOrWriteWhyYou: (message: string) => `${message} Mend it, or write why you keep it.`,
  eventsOil: (strange: number) => `events.${strange}.oil`,
  thereIsNoSuchOilIn: 'There is no such oil in the catalogue: name it by its id.',
};
