/** Sentences that the server answers about pictures, in British English. */
export const picturesAnswers = {
  notAsked: 'Nobody has asked this client about pictures yet: ask first, and write the answer down.',
  refused: 'This client wants no pictures. Nothing was kept.',
  onlyWithARefusal: 'Pictures on record are removed only with a refusal.',
  saidNo: 'no pictures',
  forTheRecord: 'for the record only',
  alsoInLetters: 'for the record, and in letters and reports',
  removed: (count: number) => `${count} removed`,
};
