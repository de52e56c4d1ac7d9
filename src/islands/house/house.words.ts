/** What the house view says, in the order of its files. */
export const houseWords = {
  // Audit
  whoDidWhat: 'Who did what',
  who: 'Who',
  everybody: 'everybody',
  client: 'Client',
  partOfAName: 'part of a name',
  what: 'What',
  suchAsErasedSeen: 'such as erased, seen',
  until: 'Until',
  show: 'Show',
  nothingOnTheTrailFits: 'No entry matches.',
  when: 'When',
  ofWhom: 'Of whom',
  newer: '← Newer',
  older: 'Older →',

  // ClientLanguage
  savedClientsReadUnlessTheirPage: (value: string) => `Saved. Clients read ${value} unless their page says otherwise.`,
  currency: 'Currency',
  savedPricesAreShownIn: (currency: string) => `Saved. Prices are shown in ${currency}.`,
  languageOfClients: 'Language of clients',
  questionsOnTheTabletConsentHome:
    'Questions on the tablet, consent, home sheets, aftercare, labels and reminders. A client’s page can say another one.',

  // EditPerson
  addSomebody: 'Add somebody',
  name: 'Name',
  title: 'Title',
  may: 'May',
  room: 'Room',
  signInName: 'Sign-in name',
  newPassword: 'New password',
  firstPassword: 'First password',
  emptyStaysAsItIs: 'Empty: stays as it is.',
  atLeastCharacters: 'At least 10 characters.',
  newPin: 'New PIN',
  pin: 'PIN',
  toDigits: '4 to 8 digits.',
  qualifiedFor: 'Qualified for',
  workingHours: 'Working hours',
  theUsualOnesMondayToSaturday: 'the usual ones: Monday to Saturday, 9:00 to 18:00',
  from: (day: string) => `${day} from`,
  hasLeftTheHouseCanNo: 'has left the house: can no longer sign in; old records keep the name',
  cancel: 'Cancel',
  save: 'Save',
  add: 'Add',

  // House
  people: 'people',
  measuring: 'measuring',
  whatClientsRead: 'what clients read',
  whoDidWhat2: 'who did what',
  partOfTheHouse: 'Part of the house',

  // HousePhone
  keptItStandsOnEverySheet: 'Saved: it is on every sheet from now on.',
  whomClientsRing: 'Phone number for clients',
  printedOnHomeSheets: 'Printed on home sheets.',
  keepTheNumber: 'Save the number',

  // Measuring
  keptEverySeriesIsWorkedOut: 'Saved. Every series is worked out afresh with it.',
  typeANumber: 'Type a number.',
  whatCountsAsSwelling: 'What counts as swelling',
  definitionsDisagreeOftenEvery:
    'Definitions disagree often; every screen names the one in use, and shows the others on demand.',
  definitionOfSwelling: 'Definition of swelling',
  needs: (needs: string, source: string) => `needs ${needs}. ${source}`,
  howItIsWorkedOut: 'How it is worked out',
  lengths: 'Lengths',
  cm: 'cm',
  inches: 'inches',
  volumesOnScreenAndPaper: 'Volumes on screen and paper',
  volumeOfALimbCasleySmith: 'Volume of a limb (Casley-Smith 1994, Lymphology 27:56; Kuhnke 1976, Folia Angiol 24:228)',
  frustum: 'frustum',
  disc: 'disc',
  simpson: 'Simpson',
  errorOfOneGirthCmSd: 'Error of one girth, cm (SD)',
  usuallyTrainedHandsNonStretchTape: (tapeSigmaCm: number) =>
    `Usually ${tapeSigmaCm}: trained hands, non-stretch tape. Your own pairs replace it for changes.`,
  dominantArmLargerBy: 'Dominant arm larger by, %',
  usuallyOffWhereUsedPublishedTo:
    'Usually 0, off; 3 where used. Published: 1 to 3.5 % (Gebruers 2007, Clin Physiol Funct Imaging 27:17; Dylke 2012, Lymphat Res Biol 10:182).',
  eachPointIsTaped: 'Each point is taped',
  once: 'once',
  twice: 'twice',
  certaintyOfATrendSenJ: 'Certainty of a trend (Sen 1968, J Am Stat Assoc 63:1379)',
  impedanceOfTheArmsTypedIn: 'Impedance of the arms, typed in (Ward 2011, Lymphat Res Biol 9:47)',
  off: 'off',
  on: 'on',
  howMuchChangeIsNoNoise: 'Smallest change that counts',
  smallestChangeThatCountsTheTables:
    'Smallest change that counts, 95 %. The table’s figures lean on published ones, which spread widely (Taylor 2006, Phys Ther 86:205; Tidhar 2015, J Pers Med 5:341); put in your own. With ten pairs of readings a therapist’s own error takes their place for limb volumes.',
  pointsOfTaping: 'Points of taping',
  theLiteraturesFigures: 'The literature’s figures',
  keepThese: 'Save these',
  typeANumberAboveOrLeave: 'Type a number above 0, or leave it empty.',

  // People
  people2: 'People',
  leftOn: (leftOn: string) => `left on ${leftOn}`,
  signsInAs: (login: string) => `signs in as ${login}`,
  noPasswordYet: 'no password yet',
  noPin: 'no PIN',
  change: 'Change',
  change2: (name: string) => `Change ${name}`,

  // Wording
  versionEveryClientIsAskedTo: (version: number) =>
    `Version ${version}. Every client is asked to sign it at the next visit.`,
  whatClientsConsentTo: 'What clients consent to',
  version: 'version',
  since: (since: string) => `, since ${since}`,
  haveALawyerOfYourCountry:
    'Have a lawyer of your country read it. A change makes a new version: what was signed keeps its own words, and everybody is asked again.',
  languageOfTheWording: 'Language of the wording',
  wordingInAnEmptyLineBetween: (value: string) => `Wording in ${value}, an empty line between paragraphs`,
  nothingHereClientsWhoReadThis: 'Nothing here: clients who read this language are shown the English wording.',
  theEnglishWordingWasChangedAnd:
    'The English wording was changed and the German one was not: both have to say the same.',
  undo: 'Undo',
  saveAsVersion: (n: number) => `Save as version ${n}`,

  // role-words
  ownerEverythingAndTheHouseItself: 'Owner: everything, and the house itself',
  therapistAllRecords: 'Therapist: all records',
  assistantTheDayAndContactData: 'Assistant: the day and contact data only',
};
