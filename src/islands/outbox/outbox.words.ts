import { countOf } from '../../core/wording/count';

/** What the outbox view says, in the order of its files. */
export const outboxWords = {
  // Outbox
  notDelivered: 'not delivered',
  notSent: 'not sent, nothing to say any more',
  notedAsNotDelivered: 'Noted as not delivered.',
  notedAsSent: 'Noted as sent.',
  reminders: 'Reminders',
  aDayBeforeEachVisitBy:
    'A day before each visit, by text or by mail. Open each on this phone or computer, send it there, and say here that it is sent. It holds no word on anybody’s health.',
  mailsGoByThemselves:
    'Mails go out by themselves to whoever agreed: when a visit is booked or changed, and a day before it. Texts, and mails to whoever has not been asked, are sent from this phone or computer; say here that they are sent. None holds a word on anybody’s health.',
  through: (server: string) => `Mails go through ${server}.`,
  lastAt: (last: string) => ` The last one: ${last}.`,
  noMailGetsThrough: (server: string, since: string, trouble: string) =>
    `No mail gets through ${server} since ${since}: ${trouble}. All wait; send what is urgent by hand.`,
  sendMailsNow: 'Send the mails now',
  sentByMail: (sent: number) => `${countOf(sent, 'mail')} sent.`,
  reminder: 'reminder',
  booked: 'invitation',
  moved: 'new time',
  cancelled: 'cancellation',
  byItself: 'Goes out by itself.',
  triedAgain: (trouble: string, next: string) => `${trouble} It is tried again ${next}.`,
  notAskedYet: 'Nobody has asked yet whether they would like messages:',
  toTheRecord: 'open the record',
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
