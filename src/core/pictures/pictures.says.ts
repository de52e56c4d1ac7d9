/** What is said of two pictures, on the screen and on paper. */
export const picturesSays = {
  sameLight: 'Taken in the same light.',
  darker: (points: number) => `The later one is ${points} % darker: compare shapes, not colours.`,
  brighter: (points: number) => `The later one is ${points} % brighter: compare shapes, not colours.`,
  otherSide: 'The light came from another side: shadows do not compare.',
};
