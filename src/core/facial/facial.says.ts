/** Sentences that the core says in `facial`, in British English; a sentence with values in it is a function of them. */
export const facialSays = {
  linesOfTheNeck: 'lines of the neck',
  linesRoundTheMouth: 'lines round the mouth',
  linesBesideTheEyes: 'lines beside the eyes',
  linesOfBrowAndForehead: 'lines of brow and forehead',
  alongTheLineToItsDrain: 'along the line, to its drain',
  oneLine: 'one line',
  lines: (length: number) => `${length} lines`,
  depth: (depths: string) => `depth ${depths}`,
  cutUpAndDown: 'cut up and down',
  crossedSideways: 'crossed sideways',
  cutAcross: 'cut across',
  smoothedUpward: 'smoothed upward',
};
