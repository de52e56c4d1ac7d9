/** What the guide view says beside its chapters. */
export const guideWords = {
  guide: 'Guide',
  search: 'Search the guide',
  hint: 'A word or two, such as “foot switch” or “cancelled”.',
  chapters: 'Chapters',
  ifNot: 'If it does not go so',
  nothingFound: 'Nothing in the guide has all of these words: try fewer, or another.',
  asInThePicture: (title: string) => `${title}: the view`,
  print: 'Print it',
  keysOfAView: 'The key ? on any view lists its keys.',
};
