/** What the room view says, in the order of its files. */
export const roomWords = {
  // RoomList
  layOut: 'lay out',
  forTheClient: 'for the client',
  ticksAreKeptAsYouSet: 'ticks are saved as you set them',
  theRoomBefore: 'The room before',
  comes: 'comes',
  allIsReady: 'all is ready',
  nothingIsPlannedYetSoNothing: 'Nothing is planned yet, so nothing is asked of the room.',
  toThePlan: 'To the plan',
  whatItIsFor: 'What it is for',
  min: (time: string, minutes: number) => `${time} · ${minutes} min`,
  print: 'Print',
  backToThePlan: 'Back to the plan',
  toTheTable: 'To the table',
  saving: 'saving …',

  // RoomList
  nextOnTheList: 'next on the list',
  readyOrNotYet: 'ready, or not yet',
  ofToDo: (left: number, length: number) => `${left} of ${length} to do`,
};
