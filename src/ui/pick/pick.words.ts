/** What the rules of pick say, in British English; a sentence with values in it is a function of them. */
export const pickWords = {
  typeAPartOfIt: 'Type a part of it',
};
