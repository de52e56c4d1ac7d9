/** What is done for stones and their bath. */
export const careKinds = ['cleaned', 'oiled', 'water-changed', 'checked'] as const;
