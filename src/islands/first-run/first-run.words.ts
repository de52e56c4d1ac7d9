/** What the first run view says, in the order of its files. */
export const firstRunWords = {
  // Welcome
  welcomeToVelvetStone: 'Welcome to Velvet Stone',
  itPlansLightTouchDrainageLeads:
    'It plans light-touch drainage, leads the hands through it and keeps the record. It supports trained judgement and is no medical device: local law, professional codes and the limits of your licence come first.',
  nameOfTheHouse: 'Name of the house',
  yourName: 'Your name',
  signInName: 'Sign-in name',
  password: 'Password',
  atLeastCharactersAShortSentence: 'At least 10 characters; a short sentence is easy to remember.',
  pinForTheLockedScreen: 'PIN for the locked screen',
  toDigitsItOpensTheScreen:
    '4 to 8 digits. It opens the screen again after a pause, and takes a tablet back from a client.',
  whatYouAreQualifiedFor: 'What you are qualified for',
  openTheHouse: 'Open the house',
  yourRecoveryCode: 'Your recovery code',
  whatItIsFor:
    'If you lose your password, or the phone with your second factor, this code lets you back in, once. Nobody else can: print it, and keep it where you keep papers.',
};
