/** Sentences that the server answers in `stones`, in British English; a sentence with values in it is a function of them. */
export const stonesAnswers = {
  screeningAllowsNoHeat: 'Screening allows no heat.',
  theTrayHasNoSuchStones: 'the tray has no such stones',
  noTemperatureIsBothUsefulAnd: 'no temperature is both useful and allowed',
  theStoneCannotComeToThe: 'the stone cannot come to the allowed temperature in the air',
  theStoneCoolsInLessThan: 'the stone cools in less than 15 seconds',
  shortByFromMinuteToMinute: (stonesOf: string, value: number, toS: number) =>
    `Short by ${stonesOf} from minute ${value} to minute ${toS} of the visit.`,
  stonesInsteadOf: (label: string, labelOf: string) => `${label} stones instead of ${labelOf}`,
  sinceTheTrayHasTooFew: (words: string, value: string) => `${words}, since the tray has too few: ${value}.`,
  stonesOfThisSizeAndMaterial: (expected: number) =>
    `Stones of this size and material weigh about ${expected} g: check mass, measures and material.`,
  thereIsNoSuchStone: 'There is no such stone.',
  aStoneHasToBeSwapped: 'A stone has to be swapped cooler than the bath is.',
  aCoolStoneHasToBe: 'A cool stone has to be swapped warmer than its bath is.',
};
