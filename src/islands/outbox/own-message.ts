import type { ReminderView } from '../../contracts/house-views';

/** An address that opens the phone's own text or mail program with the message written (RFC 5724, RFC 6068). */
export function ownMessage({
  channel,
  address,
  subject,
  words,
}: Pick<ReminderView, 'channel' | 'address' | 'subject' | 'words'>): string {
  const body = encodeURIComponent(words);
  return channel === 'text'
    ? `sms:${address.replace(/[^\d+]/g, '')}?body=${body}`
    : `mailto:${encodeURIComponent(address).replace('%40', '@')}?subject=${encodeURIComponent(subject)}&body=${body}`;
}
