/** Sentences that the core says in `sign-in`, in British English; a sentence with values in it is a function of them. */
export const signInSays = {
  useAtLeast10CharactersA: 'Use at least 10 characters; a short sentence is easy to remember.',
  keepThePasswordWithin200Characters: 'Keep the password within 200 characters.',
  useMoreDifferentCharacters: 'Use more different characters.',
  doNotUseYourNameIn: 'Do not use your name in it.',
  aPinIs4To8: 'A PIN is 4 to 8 digits.',
  thatPinIsAmongTheFirst: 'That PIN is among the first that are tried: no rows, repeats, years or birthdays.',
};
