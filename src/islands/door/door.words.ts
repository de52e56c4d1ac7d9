/** What the door view says, in the order of its files. */
export const doorWords = {
  // Door
  lockedFor: (name: string) => `Locked for ${name}`,
  signInAgain: 'Sign in again',
  everythingIsAsYouLeftIt: 'Everything is as you left it.',
  youWereSignedOutWhatYou: 'You were signed out. What you entered is still here and is saved as soon as you are back.',
  yourPin: 'Your PIN',
  open: 'Open',

  // OwnPin
  myPin: 'My PIN',
  fromNowOnThisPinOpens: 'From now on this PIN opens your screen and takes a tablet back.',
  done: 'Done',
  toDigitsThatYouCanType: '4 to 8 digits that you can type with one hand, and that nobody guesses.',
  yourPassword: 'Your password',
  newPin: 'New PIN',
  setThePin: 'Set the PIN',

  // SignIn
  signInToSeeTheDay: 'Sign in to see the day.',
  aDemoWithMadeUpPeople: 'A demo with made-up people. Locked screens open with the PIN 2719.',

  // SignInForm
  goInAs: (name: string) => `Sign in as ${name}`,
  signInName: 'Sign-in name',
  password: 'Password',
  signIn: 'Sign in',
};
