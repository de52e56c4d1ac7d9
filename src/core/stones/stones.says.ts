/** Sentences that the core says in `stones`, in British English; a sentence with values in it is a function of them. */
export const stonesSays = {
  thereIsNoStepBeforeIt: 'There is no step before it whose stones it could go on with.',
  hasStonesOfAnotherClassBegin: (id: string) => `“${id}” has stones of another class: begin with fresh ones.`,
  hasAnotherNumberOfStonesBegin: (id: string) => `“${id}” has another number of stones: begin with fresh ones.`,
  isNotBeginWithFreshStones: (id: string, mode: string) => `“${id}” is not ${mode}: begin with fresh stones.`,
  itBeginsBeforeHasEnded: (id: string) => `It begins before “${id}” has ended.`,
  itBeginsSAfterHasEnded: (pauseS: number, id: string, mostCarrySeconds: number) =>
    `It begins ${pauseS} s after “${id}” has ended: at most ${mostCarrySeconds} s.`,
  screeningAllowsAtMost: (mostC: number) => `Screening allows ${mostC}° at most.`,
  isTheMostForSkin: (practice: number, skin: string, which: string) =>
    `${practice}° is the most for ${skin} skin ${which}.`,
  inMovingWork: 'in moving work',
  atRest: 'at rest',
  likesItMildLess: (milderC: number) => `Likes it mild: ${milderC}° less.`,
  foundItTooWarmLastTime: (lastRemark: number) => `Found it too warm last time: ${lastRemark}° less.`,
  foundItTooCoolLastTime: 'Found it too cool last time: back up within the limit.',
  theThermometerGivesNoReadingMeasure: 'The thermometer gives no reading. Measure by hand before you take a stone.',
  theThermometerReadsWhichIsNo: (text: string) =>
    `The thermometer reads “${text}”, which is no temperature. Measure by hand before you take a stone.`,
  aboveTakeNoStoneFromThis: (capC: number) => `Above ${capC}°: take no stone from this bath.`,
  itIsDriftingFromCheckThe: (setC: number) => `It is drifting from ${setC}°: check the heater, the lid and the water.`,
  itStandsStillBelowIsIt: (value: string, setC: number) =>
    `It stands still, ${value}° below ${setC}°: is it switched on?`,
  itStandsAboveSetItLower: (off: string, setC: number) => `It stands ${off}° above ${setC}°: set it lower.`,
  stillWarming: 'Still warming.',
  stillCooling: 'Still cooling.',
  takeOutOfTheBath: (named: string) => `Take ${named} out of the bath.`,
  swapToIntoTheBath: (named: string, named2: string) => `Swap to ${named}; ${named2} into the bath.`,
  putBackIntoTheBath: (named: string) => `Put ${named} back into the bath.`,
  moreInTheTrayWouldSave: (which: string | number, replaceAll: string, which2: string, which3: string) =>
    `${which} more ${replaceAll} ${which2} in the tray would save ${which3}.`,
  changes: (saves: number) => `${saves} changes`,
  oneStoneInHandInsteadOf: 'One stone in hand instead of two, where they are short',
  atOnceInsteadOfWhereThey: (which: string, asked: number) =>
    `${which} at once instead of ${asked}, where they are short`,
  stones: (atOnce: number) => `${atOnce} stones`,
  stonesInsteadOf: (label: string, nameOf: string) => `${label} stones instead of ${nameOf}`,
  otherWorkForBeforeTheNext: (minutes: string) => `Other work for ${minutes} before the next stones`,
  theBathAtInsteadOf: (bathC: number, bathC2: number) => `The bath at ${bathC}° instead of ${bathC2}°`,
  stillOnBareSkinNever: 'Still on bare skin: never.',
  hotterThanNotAtAll: (capC: number) => `Hotter than ${capC}°: not at all.`,
  hotterThanTheForSkinAt: (most: number, skin: string) => `Hotter than the ${most}° for ${skin} skin at rest.`,
  theSkinStaysBelowCautionLook: 'The skin stays below caution; look after one and three minutes.',
  thenTheSkinComesTo: (basalCautionC: number) => `Then the skin comes to ${basalCautionC}°.`,
  thenTheWarmthAddsUpTo: 'Then the warmth adds up to more than is safe.',
};
