/** What the rules of toast say, in British English; a sentence with values in it is a function of them. */
export const toastWords = {
  closeMessage: 'Close message',
  undo: 'Undo',
};
