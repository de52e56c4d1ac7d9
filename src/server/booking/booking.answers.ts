/** Sentences that the server answers in `booking`, in British English; a sentence with values in it is a function of them. */
export const bookingAnswers = {
  rightBesideAnotherVisitOrThe: 'right beside another visit or the end of the day, with time to tidy',
  leavesFreeMinutesBesideIt: (gapMinutes: number) => `leaves ${gapMinutes} free minutes beside it`,
  thereIsNoArea: (id: string) => `There is no area “${id}”.`,
  thereIsNoSuchClient: 'There is no such client.',
  thereIsNoSuchTherapist: 'There is no such therapist.',
  isTakenChooseAnotherTime: (longDay: string, time: string) => `${longDay}, ${time} is taken: choose another time.`,
  theClientHasAnotherVisitOn: (longDay: string, time: string) =>
    `The client has another visit on ${longDay}, ${time}: choose another time.`,
  shifted: (count: number) =>
    `${count === 1 ? 'One visit lies' : `${count} visits lie`} later than its turn, on the next day on which somebody works.`,
  leftOut: (booked: number, asked: number, until: string) =>
    `${booked} of ${asked} are booked: a note on record counts until ${until}. Ask for a new one and book the rest then.`,
  itHasBegunAndStays: 'This visit has begun; it stays where it is.',
  itHasBegunCloseIt: 'This visit has begun; close it instead.',
  itsTimeIsOver: 'Its time is over: book a new visit.',
};
