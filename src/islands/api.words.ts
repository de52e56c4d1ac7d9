/** What is said when the house does not answer as it should. */
export const apiWords = {
  theHouseDoesNotAnswer: 'The house’s computer does not answer. What you entered is still here; try again.',
  somethingWentWrong: 'Something went wrong here. Load the page again to see what was stored, then try once more.',
  theFileDidNotArrive: 'The file did not arrive: it is too large, or nobody answers.',
  stopped: 'Stopped.',
};
