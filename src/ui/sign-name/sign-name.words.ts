/** What the rules of sign-name say, in British English; a sentence with values in it is a function of them. */
export const signNameWords = {
  notDrawnYet: (label: string) => `${label}: not drawn yet`,
};
