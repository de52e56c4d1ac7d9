/** What the outbox view says, in the order of its files. */
export const outboxWords = {
  // Outbox
  notDelivered: 'not delivered',
  cancelledWithTheVisit: 'cancelled with the visit',
  notedAsNotDelivered: 'Noted as not delivered.',
  sent: (many: string) => `${many} sent.`,
  reminders: 'Reminders',
  aDayBeforeEachVisitBy:
    'A day before each visit, by text or by mail. This is a stand-in for a message service: nothing leaves the house; you play the service yourself.',
  sendTheDue: (due: number) => `Send the ${due} due`,
  waiting: 'Waiting',
  nothingWaitsBookingAVisitPuts: 'Nothing waits. Booking a visit puts its reminder here.',
  tryAgain: 'Try again',
  sendNow: 'Send now',
  letItFail: 'Let it fail',
  letItFail2: (client: string) => `Let it fail: ${client}`,
  settled: 'Settled',
  nothingHasBeenSentYet: 'Nothing has been sent yet.',
  dueNow: 'due now',
  due: (due: string) => `due ${due}`,
  textTo: 'text to',
  mailTo: 'mail to',
  ringTheClient: (trouble: string) => `${trouble} Ring the client.`,
};
