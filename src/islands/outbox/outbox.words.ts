/** What the outbox view says, in the order of its files. */
export const outboxWords = {
  // Outbox
  notDelivered: 'not delivered',
  cancelledWithTheVisit: 'cancelled with the visit',
  notedAsNotDelivered: 'Noted as not delivered.',
  notedAsSent: 'Noted as sent.',
  reminders: 'Reminders',
  aDayBeforeEachVisitBy:
    'A day before each visit, by text or by mail. Open each on this phone or computer, send it there, and say here that it is sent. It holds no word on anybody’s health.',
  waiting: 'Waiting',
  nothingWaitsBookingAVisitPuts: 'Nothing waits. Booking a visit puts its reminder here.',
  writeTheText: 'Write the text',
  writeTheMail: 'Write the mail',
  itIsSent: 'It is sent',
  itDidNotArrive: 'It did not arrive',
  settled: 'Settled',
  nothingHasBeenSentYet: 'Nothing has been sent yet.',
  dueNow: 'due now',
  due: (due: string) => `due ${due}`,
  textTo: 'text to',
  mailTo: 'mail to',
  ringTheClient: (trouble: string) => `${trouble} Ring the client.`,
};
