/** Sentences that the server answers in `home`, in British English; a sentence with values in it is a function of them. */
export const homeAnswers = {
  atMostTimesAWeekFewer: (most: number) => `At most ${most} times a week: fewer days, or fewer times a day.`,
  thisSheetHasEndedGiveThe: 'This sheet has ended: give the client a new one first.',
  onlyDaysOfTheLastWeek: 'Only days of the last week can be ticked.',
  timesInSevenDaysIsEnough: (mostPerWeek: number) => `${mostPerWeek} times in seven days is enough.`,
  isNotADayOfTheSheet: (day: string) => `${day} is not between the day of the sheet and today.`,
};
