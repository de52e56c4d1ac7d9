/** How messages may leave the house. */
export const messageWays = ['text', 'mail'] as const;
export type MessageWay = (typeof messageWays)[number];

/** What a client has said to messages; '': not asked yet. */
export const messageWishes = ['', 'text', 'mail', 'none'] as const;
export type MessageWish = (typeof messageWishes)[number];

export interface Reach {
  readonly way: MessageWay;
  readonly address: string;
  /** The client has said so: only then may a message go out without somebody sending it by hand. */
  readonly isAgreed: boolean;
}

/**
 * By which way a client is reached. Whoever has not been asked is written to by hand, by number before address; whoever
 * has said no is not written to, and whoever chose one way not by the other.
 * @returns undefined when nothing may be sent, or there is nowhere to
 */
export function reachOf(client: {
  readonly wish: MessageWish;
  readonly phone: string;
  readonly email: string;
}): Reach | undefined {
  const addresses: Readonly<Record<MessageWay, string>> = { text: client.phone, mail: client.email };
  if (client.wish === 'none') return undefined;
  const ways = client.wish === '' ? messageWays : [client.wish];
  const way = ways.find((one) => addresses[one] !== '');
  return way && { way, address: addresses[way], isAgreed: client.wish !== '' };
}
