/** Sentences that the core says in `library`, in British English; a sentence with values in it is a function of them. */
export const librarySays = {
  atLeastOneRepetition: 'At least one repetition.',
  atMostRepetitions: (mostRepetitions: number) => `At most ${mostRepetitions} repetitions.`,
  theUsualNumberLiesOutsideTo: (usual: number, min: number, max: number) =>
    `The usual number, ${usual}, lies outside ${min} to ${max}.`,
  aRepetitionTakesMoreThanNo: 'A repetition takes more than no time.',
  nothingIsIntenseAndSoothingAt: 'Nothing is intense and soothing at once: choose one.',
  drainageIsNeverFirmerThanLight: 'Drainage is never firmer than light.',
  writeOneShortSentenceForThe: 'Write one short sentence for the table.',
  thereIsNoKindOfWork: (modality: string) => `There is no kind of work “${modality}”.`,
  aProtocolNeedsAtLeastOne: 'A protocol needs at least one block with one step.',
  namesTwoBlocksEachNeedsIts: (id: string) => `“${id}” names two blocks: each needs its own name.`,
  thereIsNoBlockToCome: (id: string) => `There is no block “${id}” to come after.`,
  theBlockHasNoStepsAdd: (id: string) => `The block “${id}” has no steps: add one, or take it out.`,
  thereIsNoTechnique: (technique: string) => `There is no technique “${technique}”.`,
  sayWhereAtLeastOneRegion: 'Say where: at least one region.',
  thereIsNoRegionOnThe: (region: string) => `There is no region “${region}” on the body.`,
  between1AndRepetitionsNot: (mostRepetitions: number, repetitions: number) =>
    `Between 1 and ${mostRepetitions} repetitions, not ${repetitions}.`,
  isDoneWithHandsButThe: (name: string, hands: string, hands2: string) =>
    `${name} is done with ${hands} hands, but the block is worked with ${hands2} ones.`,
  isIntenseFollowItInThis: (name: string) =>
    `${name} is intense: follow it, in this block, by something soothing on the same region.`,
  thisStep: 'This step',
};
