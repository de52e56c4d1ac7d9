/** Sentences that the server answers in `house`, in British English; a sentence with values in it is a function of them. */
export const houseAnswers = {
  noLongerOnRecord: (kind: string, id: string) => `${kind} no. ${id}, no longer on record`,
};
