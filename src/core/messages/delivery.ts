/**
 * What a mail server said to one mail, and what follows from it (reply codes as in RFC 5321: 4yz for now, 5yz for good).
 */
export type Handing =
  | { readonly kind: 'sent' }
  /** For good: nobody of that address, or the mail is not taken. */
  | { readonly kind: 'refused'; readonly why: string }
  /** Not now: a full mailbox, a busy server. */
  | { readonly kind: 'later'; readonly why: string }
  /** No mail gets through, whoever it is for: no connection, no leave to send. */
  | { readonly kind: 'closed'; readonly why: string };

/** How a try to hand a mail over went wrong. */
export interface HandingTrouble {
  readonly why: string;
  /** What the server answered; undefined where nobody answered. */
  readonly replyCode?: number | undefined;
  /** At which part: the recipient and the text are the mail's own, all else concerns every mail. */
  readonly at: 'recipient' | 'text' | 'line';
}

/** Sorts a trouble by what can be done about it. */
export function outcomeOf({ why, replyCode, at }: HandingTrouble): Exclude<Handing, { readonly kind: 'sent' }> {
  if (at === 'line') return { kind: 'closed', why };
  // An address that was not even offered to a server is wrong as it stands.
  if (replyCode === undefined) return { kind: at === 'recipient' ? 'refused' : 'later', why };
  return { kind: replyCode >= 500 ? 'refused' : 'later', why };
}

/** Pauses between tries of one mail (minutes): five tries in some nine hours. */
const pauseMinutes = [5, 30, 120, 360] as const;

/**
 * When a mail is tried again.
 * @param tries so many have been made, at least 1
 * @returns ms since 1970; undefined: not again
 */
export function nextTryMs(tries: number, nowMs: number): number | undefined {
  const pause = pauseMinutes[tries - 1];
  return pause === undefined ? undefined : nowMs + pause * 60_000;
}
