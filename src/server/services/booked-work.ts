/** The work that visits are booked for so far. */
export const bookedWork: readonly string[] = ['lymph-drainage', 'reroute-drainage'];
