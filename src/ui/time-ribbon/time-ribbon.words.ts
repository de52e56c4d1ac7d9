/** What the rules of time-ribbon say, in British English; a sentence with values in it is a function of them. */
export const timeRibbonWords = {
  timeRibbon: 'Time ribbon',
  toSpare: (spare: string) => `${spare} to spare`,
  toSpare2: 'to spare',
};
