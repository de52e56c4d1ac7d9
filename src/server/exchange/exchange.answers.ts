/** What the server says of files that come in and go out. */
export const exchangeAnswers = {
  theCardHasNoEnd: 'The card has no end (END:VCARD).',
  theCardCannotBeReadAt: (line: string) => `The card cannot be read${line && ` at “${line}”`}.`,
};
