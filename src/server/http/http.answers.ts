/** Sentences that the server answers in `http`, in British English; a sentence with values in it is a function of them. */
export const httpAnswers = {
  imgSrcSelfDataBlob: "img-src 'self' data: blob:",
  styleSrcSelfUnsafeInline: "style-src 'self' 'unsafe-inline'",
  scriptSrc: (scripts: string) => `script-src ${scripts}`,
  workerSrcSelf: "worker-src 'self'",
  objectSrcNone: "object-src 'none'",
  baseUriNone: "base-uri 'none'",
  formActionSelf: "form-action 'self'",
  frameAncestorsNone: "frame-ancestors 'none'",
  androidPhone: 'Android phone',
  androidTablet: 'Android tablet',
  someFieldsNeedAttention: 'Some fields need attention',
  thereIsNoSuch: (what: string) => `There is no such ${what}`,
  someoneElseSavedInTheMeantime: 'Someone else saved in the meantime',
  thatIsNotPossibleAsIt: 'That is not possible as it was asked',
  theDiskOfTheHousesComputer:
    'The disk of the house’s computer is full. What was stored before is safe; make room, then try again.',
  thisAddressDoesNotTakeThat: 'This address does not take that method',
  itTakes: (allowed: string) => `It takes ${allowed}.`,
  thisWasSavedInAnotherWindow: (what: string) =>
    `This ${what} was saved in another window. Yours is kept here; load the other one to compare.`,
  somethingWentWrongHere: 'Something went wrong here',
  loadThePageAgainToSee: 'Load the page again to see what was stored, then try once more.',
  sendJsonAndSaySoApplication: 'Send JSON, and say so: application/json',
  theRequestIsNotValidJson: 'The request is not valid JSON.',
  thatIsMoreThanMbSend: (mostBytes: number) => `That is more than ${mostBytes} MB: send less at once`,
  tooManyWrongTriesWaitSeconds: (nextAt: number) => `Too many wrong tries: wait ${nextAt} seconds.`,
  thatIsNotThePassphrase: 'That is not the passphrase.',
  pPFormMethodPostAction: (
    whatToDo: string,
    unsealPath: string,
    escaped: string,
    trouble: string,
  ) => `<p>${whatToDo}</p>
      <form method="post" action="${unsealPath}">
        <input type="hidden" name="then" value="${escaped}" />
        <label for="passphrase">Passphrase</label>
        <input id="passphrase" name="passphrase" type="password" autocomplete="off" autofocus required
          aria-describedby="trouble" />
        <p id="trouble" role="alert">${trouble}</p>
        <button type="submit">Open the house</button>
      </form>`,
  thereIsNothingAtThisAddress: 'There is nothing at this address',
  timeToAnswer: 'Time to answer, by the pattern of the address',
  bytesFree: 'Bytes that are free on the disk of the data folder',
  sizeOfTheDatabase: 'Size of the database file',
  timeSinceTheBackup: 'Time since the last good backup; NaN when there is none',
  oneWhileWritable: '1 while the data may be written to',
};
