/** What the rules of sortable say, in British English; a sentence with values in it is a function of them. */
export const sortableWords = {
  pressAltWithTheUpOr: (what: string) => `Press Alt with the up or down arrow key to move this ${what}.`,
};
