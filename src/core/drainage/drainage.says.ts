/** Sentences that the core says in `drainage`, in British English; a sentence with values in it is a function of them. */
export const drainageSays = {
  isANodeGroupNameThe: (id: string) => `“${id}” is a node group: name the skin to drain instead.`,
  thereIsNoAreaOrTerritory: (id: string) =>
    `There is no area or territory “${id}”: use one such as leg.left, face or calf-upper.right.`,
  aVisitLasts1ToMinutes: (longestVisitMinutes: number, minutes: number) =>
    `A visit lasts 1 to ${longestVisitMinutes} minutes: ${minutes} cannot be planned.`,
  thereIsNoPlaceOnThe: (id: string) => `There is no place “${id}” on the body map.`,
  sayOnWhichSideLeftRight: 'Say on which side: left, right or both.',
  sayBetweenWhichTwoNeighboursThe: 'Say between which two neighbours the scar runs.',
  aScarRunsBetweenTwoDifferent: 'A scar runs between two different places: give exactly two.',
  markAtLeastOnePlaceOn: 'Mark at least one place on the body map.',
  isANodeGroupThickenedSkin: (id: string) => `“${id}” is a node group: thickened skin is marked on a territory.`,
  andOnTheSameSideCannot: (id: string, id2: string) =>
    `“${id}” and “${id2}” on the same side cannot both be true: keep the one that was done.`,
  allGroupsOnTheNaturalWays: 'All groups on the natural ways are open: fluid goes the way it always goes.',
  nothingCanBeLedFromEvery: (names: string) =>
    `Nothing can be led from ${names}: every way out is closed or too far. A physician has to look first.`,
  leadingFluidRoundClosedNodesOr:
    'Leading fluid round closed nodes or skin needs the lymphoedema qualification. The plan is shown, but not to be carried out: hand over to a certified colleague.',
  bothLegsSwollenAfterCancerOnly:
    'Both legs swollen after cancer: only with the lymphoedema qualification, and once a physician has named the cause.',
  nodesRemoved: 'Nodes removed',
  openWound: 'Open wound',
  noStrokeGoesTo: (causesOf: string, theLabel: string) => `${causesOf}: no stroke goes to ${theLabel}.`,
  keptOffAtNotTouchedNothing: (names: string) => `Kept off at ${names}: not touched, nothing led across it.`,
  openSkinAtNotTouchedNothing: (names: string) => `Open skin at ${names}: not touched, nothing led across it.`,
  noWayOutCrossesTheScar: 'No way out crosses the scar.',
  featherLightOn: (names: string) => `Feather light on ${names}.`,
  aHandsWidthAwayFromThe: (names: string) => `A hand’s width away from the port at ${names}.`,
  softenFirst: (names: string) => `Soften ${names} first.`,
  theNaturalWayIsCutSo: 'The natural way is cut, so fluid is led round it.',
  afterCancerFeatherToLightOnly: 'After cancer: feather to light only, and stop for anything new on the skin.',
  shortByEvenWithTheFewest: (minutes: number, which: string, names: string) =>
    `Short by ${minutes} ${which} even with the fewest repetitions. For another visit: ${names}.`,
  onlyTheNearestWayOutIs: 'Only the nearest way out is used, to save time.',
  theReturnPassIsLeftOut: 'The return pass is left out, to save time.',
  repetitionsAreFewerThanUsualSo: 'Repetitions are fewer than usual, so that everything fits.',
  the: (shortLabel: string) => `the ${shortLabel}`,
  morePlaces: (length: number) => `${length} more places`,
  ledAboutHandsWidths: (way: string, formatCost: string) => `Led ${way}, about ${formatCost} hand’s widths.`,
  lawful: (way: string) => `Lawful ${way}.`,
  nothingHasToBeLedRound: 'Nothing has to be led round here: every part has its own open group.',
  noLawfulWayLeadsThereFrom: 'No lawful way leads there from what has lost its own group.',
  notThe: (shortLabel: string, why: string) => `Not the ${shortLabel}: ${why}`,
  aWayIsUsedOrRefused: 'A way is used or refused, not both.',
  led: (wayInWords: string) => `Led ${wayInWords}.`,
  theNaturalWayItsNodesAre: (wayInWords: string) => `The natural way, ${wayInWords}: its nodes are there and open.`,
  areClosedNoStrokeMayEnd: (theLabel: string) => `${theLabel} are closed: no stroke may end there or pass.`,
  screeningKeepsOffItIsNot: (theLabel: string) =>
    `Screening keeps ${theLabel} off: it is not touched, and nothing is led across it.`,
  thereIsOpenSkinAtIt: (theLabel: string) =>
    `There is open skin at ${theLabel}: it is not touched, and nothing is led across it.`,
  aScarLiesBetweenAndLead: (theLabel: string, theLabel2: string) =>
    `A scar lies between ${theLabel} and ${theLabel2}: lead fluid round it.`,
  notOverOrIntoGoRound: (theLabel: string) =>
    `Not over or into ${theLabel}: go round the outer or inner side of the knee.`,
  wasIrradiatedFeatherLightOnly: (theLabel: string) => `${theLabel} was irradiated: feather light only.`,
  screeningAllowsAtMostAt: (allowed: string, theLabel: string) => `Screening allows ${allowed} at most at ${theLabel}.`,
  sayWhereDrainsToEveryStroke: (here: string) => `Say where ${here} drains to: every stroke goes towards the way out.`,
  fromToLeadsAwayFromThe: (here: string, theLabel: string) =>
    `From ${here} to ${theLabel} leads away from the way out: turn the stroke round.`,
  andMore: (names: string, length: number) => `${names} and ${length} more`,
  tooEarlyTheHollowAboveThe: 'Too early: the hollow above the collarbone is not open yet, and everything ends there.',
  tooEarlyBreatheFirstSoThat: 'Too early: breathe first, so that the deep belly can take what the groin gives.',
  tooEarlyNotOpenYetSo: (others: string, are: string) =>
    `Too early: ${others} ${are} not open yet, so this would push against a closed door.`,
  tooEarlyStillFullSoFluid: (others: string, are: string) =>
    `Too early: ${others} ${are} still full, so fluid has no way on.`,
  tooEarlyStillFullSoFluid2: (others: string, are: string) =>
    `Too early: ${others} ${are} still full, so fluid would meet it.`,
  theSoundSideFirstClearedBefore: (others: string, are: string) =>
    `The sound side first: ${others} ${are} cleared before the affected side is touched.`,
  tooEarlyIsThickenedAndHas: (theLabel: string) => `Too early: ${theLabel} is thickened and has not been softened.`,
  tooEarlyToBePreparedBefore: (others: string, are: string) =>
    `Too early: ${others} ${are} to be prepared before what is left of these nodes is touched.`,
  thisBelongsToTheEndRe: 'This belongs to the end: re-clear the exits and the terminus, then breathe.',
  tooEarlyItComesAfter: (others: string) => `Too early: it comes after ${others}.`,
  stepsBeforeItFromOn: (length: number, placesInWords: string) => `${length} steps before it, from ${placesInWords} on`,
  tooLateTheSoundSidesCome: (shortLabel: string, others: string) =>
    `Too late: the sound side’s ${shortLabel} come before ${others}.`,
  tooLateAlreadyCloseTheVisit: (others: string) => `Too late: ${others} already close the visit.`,
  tooLateNeedOpenFirst: (others: string, here: string) => `Too late: ${others} need ${here} open first.`,
  theCourseDoesNotClearEverything: (here: string) =>
    `The course does not clear ${here}: everything ends there, so it comes first.`,
  theCourseHasNoBellyBreathing: 'The course has no belly breathing: it comes before any groin group.',
  theCourseDoesNotClearAnd: (here: string) => `The course does not clear ${here}, and this pushes towards them.`,
  theCourseDoesNotPrepareWhich: (here: string) => `The course does not prepare ${here}, which is on the way out.`,
  theCourseDoesNotSoftenWhich: (here: string) => `The course does not soften ${here}, which is thickened.`,
  theCourseDoesNotClearThe: (here: string) => `The course does not clear ${here}: the sound side comes first.`,
  nothingDrainsWhichIsInFocus: (here: string) => `Nothing drains ${here}, which is in focus.`,
  theCourseDoesNotClearOnce: (here: string) => `The course does not clear ${here} once more at the end.`,
  theCourseDoesNotEndWith: 'The course does not end with the exits re-cleared, the terminus and breathing.',
  theCourseLacksAStepAt: (here: string) => `The course lacks a step at ${here}.`,
  theIdStandsTwiceEveryStep: (id: string) => `The id “${id}” stands twice: every step has its own.`,
  chooseAtLeastOneAreaTo: 'Choose at least one area to drain, such as leg.left.',
  isNotANodeGroupUse: (id: string) => `“${id}” is not a node group: use one such as axillary.left.`,
  someNodesNearAreGoneThat: (tender: string) => `Some nodes near ${tender} are gone: that way counts as longer.`,
};
