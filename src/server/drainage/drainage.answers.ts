/** Sentences that the server answers in `drainage`, in British English; a sentence with values in it is a function of them. */
export const drainageAnswers = {
  theTreatmentHasBegunThePlan:
    'The treatment has begun: the plan stays as it is, so that the record matches what was done.',
  theCheckStoppedThisVisitNothing: 'The check stopped this visit: nothing is planned.',
  itIsOfSeveralParts: 'This plan is a treatment of several parts: rearrange its parts.',
  theOrderIsNotThatOfThePlan: 'The course names a step that is not in the plan, or one step twice.',
};
