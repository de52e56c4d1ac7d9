/** Sentences that the server answers in `compute`, in British English; a sentence with values in it is a function of them. */
export const computingAnswers = {
  thereIsNoKindOfWork: (id: string) => `There is no kind of work “${id}”.`,
  thereIsNoProtocolUseOne: (id: string, someProtocols: string) =>
    `There is no protocol “${id}”: use one such as ${someProtocols}.`,
  thereIsNoAreaUseOne: (id: string) => `There is no area “${id}”: use one such as leg.left.`,
  thereIsNoRoutineUse: (routine: string, routineIds: string) => `There is no routine “${routine}”: use ${routineIds}.`,
  sayTheSideLeftRightOr: 'Say the side: left, right or both.',
  theChangeAgainstTheOtherLimb: 'The change against the other limb needs its volume both times.',
  theWeightAdjustedChangeNeedsThe: 'The weight-adjusted change needs the body weight both times.',
  atLeastTwoPairsOfReadings: 'At least two pairs of readings are needed.',
  aTrendNeedsValuesOnAt: 'A trend needs values on at least two different dates.',
  theseDropsAreMoreThanThe: (volumeMl: number) =>
    `These drops are more than the ${volumeMl} mL of the bottle: take some out, or mix more.`,
  someBlocksWaitForEachOther: 'Some blocks wait for each other',
  thisTakesLongerThanTheHouse: 'This takes longer than the house can wait',
  askForLessAtOnce: 'Ask for less at once.',
  tooMuchIsBeingComputedAt: 'Too much is being computed at the moment',
  nothingWasLostAskAgain: 'Nothing was lost: ask again.',
  aMinuteOfComputingIsUsed: (wait: number) => `A minute of computing is used up: wait ${wait} seconds`,
};
