/** What a message is about: that a visit is near, booked, at another time, or not any more. */
export const messageKinds = ['expected', 'booked', 'moved', 'cancelled'] as const;
export type MessageKind = (typeof messageKinds)[number];
