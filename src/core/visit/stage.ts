/** The stepping stones of a visit, in the order of the day. */
export const stages = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;
