/** Sentences that the server answers in `people`, in British English; a sentence with values in it is a function of them. */
export const peopleAnswers = {
  somebodyElseSignsInWithThis: 'Somebody else signs in with this name.',
  giveAFirstPassword: 'Give a first password.',
  aHouseNeedsAnOwnerMake: 'A house needs an owner: make somebody else one first.',
  nameAndPasswordDoNotFit: 'Name and password do not fit together',
  thatIsNotTheCodeThat: 'That is not the code that is shown now',
  yourSecondFactorToo: 'Your second factor, too',
  nameAndCodeDoNotFit: 'Name and code do not fit together',
  signingInByOneClickIs: 'Signing in by one click is for the demo house',
  theTabletIsWithAClient: 'The tablet is with a client',
  setAPinFirstThenThe: 'Set a PIN first, then the screen can be locked',
  setAPinFirstItShows: 'Set a PIN first: it shows that it is you',
  setAPinFirstItIs: 'Set a PIN first: it is how the tablet comes back to you',
  tooManyWrongTriesWaitSeconds: (seconds: number) => `Too many wrong tries: wait ${seconds} seconds, then try again`,
  thatIsNotThePinLeft: (left: number, which: string) => `That is not the PIN; ${left} ${which} left`,
  tooManyWrongPinsSignIn: 'Too many wrong PINs: sign in with your password',
};
