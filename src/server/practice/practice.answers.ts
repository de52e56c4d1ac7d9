/** What practising answers. */
export const practiceAnswers = {
  // answer-drill
  aCourseIsPractisedIn: (kinds: string) => `A course is practised in one of: ${kinds}.`,
  thatDrillHasEnded: 'That drill has ended: practise the case on its own.',
  isAnotherCase: 'The drill that was set is another case: open it from “Set for you”.',
  noDrillInThisCourse: 'There is no such drill in this course: choose another kind.',
  // team
  thatDayIsOver: 'That day is over: give today or a later one.',
  thereIsNoSuchWork: (id: string) => `There is no kind of work “${id}”: choose one of the list.`,
  isAskedBefore: (drill: string, due: string, work: string) =>
    `A drill (${drill}, due ${due}) is asked before ${work}; it is not done well yet. Nothing is forbidden by it.`,
  // practice.endpoints
  resultsCsv: 'practice.csv',
  resultsPdf: 'practice.pdf',
};
