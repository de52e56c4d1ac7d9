/** How answers stand, in every view the same. */
export const savingWords = {
  saved: 'saved',
  saving: 'saving …',
  waitingOnDevice: (open: number) =>
    open === 1
      ? 'One answer is safe on this device; it is sent when the house answers.'
      : `${open} answers are safe on this device; they are sent when the house answers.`,
  waitingInPage: 'Not saved yet: the house does not answer. Keep this page open.',
  tryNow: 'Try now',
  refused: (why: string) => `Not saved: ${why}`,
  giveUp: 'Discard it',
  conflict: 'Somebody else saved this in the meantime.',
  compare: 'Compare …',
  bothVersions: 'Two versions',
  whatDiffers: 'What differs',
  yours: 'Yours',
  theirs: 'Saved meanwhile',
  same: 'Both say the same.',
  nothing: 'nothing',
  keepYours: 'Keep yours',
  takeTheirs: 'Take the saved one',
  couldNotLook: 'The saved version could not be fetched. Yours is still here; try again.',
  // What earlier views have left
  leftOver: (count: number) => (count === 1 ? '1 answer not sent yet' : `${count} answers not sent yet`),
  leaveWith: (count: number) =>
    count === 1
      ? 'One answer has not reached the house yet. If you sign out now, it is gone from this device.'
      : `${count} answers have not reached the house yet. If you sign out now, they are gone from this device.`,
  signOutAnyway: 'Sign out and discard',
  stay: 'Stay signed in',
  notSent: 'Not sent yet',
  thePageCouldNotSendThis: 'The page could not send this; note it down, then load the page again.',
} as const;
