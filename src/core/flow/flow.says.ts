/** Sentences that the core says in `flow`, in British English; a sentence with values in it is a function of them. */
export const flowSays = {
  thereIsNoPlaceOnThe: (id: string) => `There is no place “${id}” on the body.`,
  fluidBeginsInSkinNameA: 'Fluid begins in skin: name a territory, not a group of nodes.',
};
