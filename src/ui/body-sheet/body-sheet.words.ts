/** What the body says where it has to be called. */
export const bodySheetWords = {
  open: 'Body',
  shut: 'Shut the body',
} as const;
