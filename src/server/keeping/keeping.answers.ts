/** Sentences that the server answers in `keeping`, in British English; a sentence with values in it is a function of them. */
export const keepingAnswers = {
  noIdentity: 'no identity',
  thatIsNotThePassphraseOf: 'That is not the passphrase of this backup.',
  thisFileIsNoBackupOf: 'This file is no backup of a house, or it is damaged.',
  thisBackupIsDamagedItsContent: 'This backup is damaged: its content cannot be unpacked.',
  thisFileHoldsNoHouseIts: 'This file holds no house: its list of contents is missing.',
  thisBackupIsDamagedItsData: 'This backup is damaged: its data is not what was written.',
  theHouseIsBeingCopiedTo:
    'The house is being copied to a second machine, which cannot follow this: end npm run replicate first. (Has it ended already, delete replicate.yml in the data folder.)',
  velvetStoneAge: (format: string) => `velvet-stone-${format}.age`,
  thisBackupCannotBeUsed: (message: string) => `This backup cannot be used: ${message}.`,
  writeAPassphraseWithoutItNobody: 'Write a passphrase: without it nobody opens a backup.',
  nothingCanBeWrittenThereChoose: 'Nothing can be written there: choose another folder, or allow it.',
  chooseAFolderOutsideOfThe: 'Choose a folder outside of the house’s own data: both would be lost at once.',
  sayFirstWhereBackupsGoAnd: 'Say first where backups go, and their passphrase.',
  theDiskOfTheBackupsIs: 'The disk of the backups is full: make room, or choose another folder.',
  nothingMayBeWrittenIntoThe: 'Nothing may be written into the folder of the backups.',
  theFolderOfTheBackupsIs: 'The folder of the backups is not there: is its disk connected?',
  theBackupCouldNotBeMade: 'The backup could not be made; the server’s log says why.',
  noBackupIsSetUp: 'no backup is set up',
  theLastOneFailed: 'the last one failed',
  noneHasBeenMadeYet: 'none has been made yet',
  theLastGoodOneIsDays: (hours: number) => `the last good one is ${hours} days old`,
  noHouseWasKeptAside: 'No house was kept aside.',
  thisIsBeingDoneAlready: 'This is being done already.',
  theDataIsEncryptedAlready: 'The data is encrypted already.',
  theDataIsNotEncrypted: 'The data is not encrypted.',
  thatIsNotThePassphrase: 'That is not the passphrase.',
  theHouseIsEncryptedNameThe:
    'The house is encrypted: name the file with its passphrase in VELVET_STONE_KEY_FILE, or do this under House → keeping.',
  sayWhereItGoesNpmRun:
    'Say where it goes: npm run backup -- FOLDER, with VELVET_STONE_PASSPHRASE set; or House → keeping.',
  theHouseIsRunningEndIt: 'The house is running: end it first, or restore under House → keeping.',
  asItWasAtClientsVisits: (house: string, madeAt: string, tablesOf: number, tablesOf2: number) =>
    `${house}, as it was at ${madeAt}: ${tablesOf} clients, ${tablesOf2} visits.`,
  clientsWereErasedSinceAndStay: (erased: number) => `${erased} clients were erased since, and stay erased.`,
  theHouseThatWasThereIs: 'The house that was there is kept aside: npm run restore -- --undo brings it back.',
  nothingWasChanged: (message: string) => `${message} Nothing was changed.`,
  theHouseIsRunningEndIt2: 'The house is running: end it first, or undo under House → keeping.',
  theHouseThatWasKeptAside: 'The house that was kept aside is back.',
  itIsOfANewerVersion: (migration: string) =>
    `This backup was made by a newer version (${migration}): start that one to restore it.`,
};
