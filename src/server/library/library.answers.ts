/** Sentences that the server answers in `library`, in British English; a sentence with values in it is a function of them. */
export const libraryAnswers = {
  inNumber: (length: number) => `${length} in number`,
  techniquesAndProtocolsOfTheHouse:
    'Techniques and protocols of the house, its own over those that ship, and what is told at home.',
  itIsUsedInTakeIt: (users: string) => `It is used in ${users}: take it out there first.`,
  theIdIsNotTheOne: 'The id is not the one of the address.',
  velvetStoneLibrary: 'Velvet Stone library',
};
