/** What the rules of shortcuts say, in British English; a sentence with values in it is a function of them. */
export const shortcutsWords = {
  keysOfThisView: '? Keys of this view',
  keysOfThisView2: 'Keys of this view',
  closeThisList: 'close this list',
  readInTheGuide: 'Read about this view in the guide',
};
