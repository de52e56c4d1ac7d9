/** What the keys of the number pad are called, for those who do not see them. */
export const numberPadWords = {
  pad: 'Number pad',
  half: 'and a half',
  back: 'Delete the last digit',
  next: 'next',
  same: 'same',
  sameAs: (text: string) => `same as last time, ${text}`,
} as const;
