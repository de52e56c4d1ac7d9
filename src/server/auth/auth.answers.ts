/** Sentences that the server answers in `auth`, in British English; a sentence with values in it is a function of them. */
export const authAnswers = {
  aSecondFactorIsSetUp: 'A second factor is set up already: remove it first, then set up another one.',
  beginAnewThereIsNoSecond: 'Begin anew: there is no second factor being set up.',
  aSecondFactorIsSetUp2: 'A second factor is set up already.',
  thatIsNotTheCodeThat: 'That is not the code that is shown now. Is the clock of your device right?',
  setUpASecondFactorFirst: 'Set up a second factor first.',
  thatIsAmongThePasswordsThat:
    'That is among the passwords that are tried first: take four words that have nothing to do with each other.',
  passwordOf: (staffId: number) => `password of ${staffId}`,
  tooManyWrongTriesWaitSeconds: (wait: number) => `Too many wrong tries: wait ${wait} seconds.`,
  thatIsNotYourPassword: 'That is not your password.',
};
