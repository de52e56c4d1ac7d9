/** Sentences that the core says in `homecare`, in British English; a sentence with values in it is a function of them. */
export const homecareSays = {
  nothingOfItMayBeDone: 'Nothing of it may be done by this client.',
  evenTheShortestFormTakesSeconds: (shortBySeconds: number) =>
    `Even the shortest form takes ${shortBySeconds} seconds more: give it longer.`,
  closedNothingIsLedThere: 'closed: nothing is led there',
  notToBeTouched: 'not to be touched',
  outOfReachAlone: 'out of reach alone',
  nothingOfItIsWithinThe: 'Nothing of it is within the client’s own reach.',
  screeningDoesNotAllowIt: 'Screening does not allow it.',
  theHasToBeWorkedAnd: (shortLabel: string) => `The ${shortLabel} has to be worked, and cannot be reached alone.`,
  thereIsNoOpenWayThat: 'There is no open way that it could be led along alone: show a helper instead.',
  keptOffNotTouchedAlone: 'kept off: not touched alone',
  noTimeOrNowhereToLead: 'no time, or nowhere to lead it',
  atMostMinutesOfThisAlone: (most: number) => `At most ${most} minutes of this alone.`,
  chooseTheSide: 'Choose the side.',
};
