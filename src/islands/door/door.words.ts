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
  yourPinAgain: 'Your PIN again',
  thisCannotBeTakenBack: 'This cannot be taken back, or takes records out of the house: show that it is you.',
  goOn: 'Go on',
  whereYouAreSignedIn: 'Where you are signed in',
  thisDevice: 'this device',
  sinceSeen: (since: string, seen: string) => `since ${since}, last used ${seen}`,
  signOutThere: 'Sign out there',
  signOutThereOf: (device: string) => `Sign out there: ${device}`,
  signedOutThere: 'Signed out there.',
  close: 'Close',

  // Second factor
  secondFactor: 'Second factor',
  whatAFactorIs:
    'With a second factor signing in also asks for six digits from your phone: a password that was seen or guessed then opens nothing.',
  theHouseAsksForOne: 'The house asks you to set one up before you go on.',
  factorIsOn: (left: number) =>
    `Signing in asks for six digits from your phone. ${left === 1 ? 'One recovery code is' : `${left} recovery codes are`} left.`,
  setItUp: 'Set it up',
  takeThePicture: 'Take this picture with an authenticator on your phone; any that makes time-based codes will do.',
  pictureForTheAuthenticator: 'Picture for the authenticator',
  orTypeThis: (secret: string) => `Or type this into it: ${secret}`,
  sixDigitsItShows: 'The six digits that it shows',
  turnItOn: 'Turn it on',
  newCodes: 'New recovery codes',
  removeFactor: 'Remove the second factor',
  codesForWhenItIsLost: 'Codes for when your phone is lost',
  eachOpensOnce: 'Type one of these instead of the six digits. Each opens once.',
  shownOnce: 'They are shown this once. Keep them on paper, away from the computer.',
  shownOnceAlone: 'It is shown this once. Keep it on paper, away from the computer.',
  print: 'Print',
  writtenDown: 'I have written it down',
  sixDigits: 'Six digits, or a recovery code',

  // Recovery
  lostEverything: 'Owner, and nothing fits any more?',
  backByCode: 'Come back by code',
  whoComesBackByCode:
    'For the owner: the code that was shown when the house was opened sets a new password, and removes the second factor. Everybody else asks the owner.',
  codeFromThePaper: 'Code from the paper',
  newPassword: 'New password',
  comeBackIn: 'Set the password',
  backToSigningIn: 'Back to signing in',
  yourNewCode: 'Your new recovery code',
  whatTheHouseCodeIsFor:
    'If password or phone are lost, this code lets the owner back in, once. The old one opens nothing any more.',
};
