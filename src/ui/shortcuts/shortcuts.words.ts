/** What the rules of shortcuts say, in British English; a sentence with values in it is a function of them. */
export const shortcutsWords = {
  ctrl: 'Ctrl',
  keysOfThisView: '? Keys of this view',
  keysOfThisView2: 'Keys of this view',
};
