/** What the rules of stones say, in British English; a sentence with values in it is a function of them. */
export const stonesWords = {
  theVisitStepByStep: 'The visit, step by step',
};
