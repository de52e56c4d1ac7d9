/** What the table view says, in the order of its files. */
export const tableWords = {
  // AskAgain
  somethingSpeaksAgainstItLeaveThis: 'something speaks against it: leave this work out',
  nothingSpeaksAgainstIt: 'nothing speaks against it',
  askAgainBeforeThis: 'Ask again before this',
  askAgainBeforeThis2: (questions: string) => `Ask again before this: ${questions}`,

  // Bands
  thisOneFollowsAndWritesNothing: 'This one follows and writes nothing.',
  anotherDeviceLeads: 'Another device leads.',
  anotherWindowLeads: 'Another window leads.',
  takeOverHere: 'take over here',
  itsStoreIsFullOrSwitched:
    '(its store is full or switched off). Leave this page open until all is saved in the house.',
  thisBrowserKeepsNothing: 'This browser keeps nothing',

  // BathWarning
  stoneBath: 'Stone bath',

  // CatchUpBar
  time: 'Time',
  timeIsLeft: 'Time is left:',
  timeRunsShort: 'Time runs short:',
  asPlannedAgain: 'as planned again',

  // Finished
  allDone: 'All done',
  ofStepsInLetTheClient: (done: number, total: number, n: string) =>
    `${done} of ${total} steps in ${n}. Let the client rest a moment; water stands ready.`,
  lookAgainAndClose: 'Look again and close',

  // MarkBar
  marks: 'Marks',
  stayLonger: 'stay longer',

  // SideAsk
  clientsLeft: 'client’s left',
  both: 'both',
  clientsRight: 'client’s right',
  whichSide: (name: string) => `${name}: which side?`,

  // StepMap
  onTheWay: 'on the way',
  whereItGoes: 'where it goes',
  breatheHere: 'breathe here',
  here: 'here',
  whereTheHandsAre: 'Where the hands are',

  // TableView
  theHouseDoesNotAnswerTry: 'The house does not answer: try again when it does.',
  visit: 'visit',
  of: 'of',
  hasTodayBeenAsked: 'Has today been asked?',
  thisPlanIsOf: (n: string) => `This plan is of ${n}.`,
  askBeforeYouBegin: 'Ask before you begin',
  theSpaceBarAndATouch: 'The space bar and a touch go on as before.',
  theFootSwitchIsSilent: 'The foot switch is silent.',
  pace: 'Pace',
  secondsLeft: 'seconds left',
  place: 'place',
  placeOf: (placement: number, placements: number) => `place ${placement} of ${placements}`,
  step: 'step',
  of2: (n: string) => `of ${n}`,
  then: 'then',
  theVisitIsDone: 'the visit is done',
  leave: 'leave',
  paused: 'paused',
  leaveThisWorkOut: 'leave this work out',
  theClientsRight: 'the client’s right',
  theClientsLeft: 'the client’s left',
  nextStep: 'next step',
  dryBrush: 'dry brush',
  hands: (hands: string) => `${hands} hands`,
  stoneRoller: 'stone roller',
  dryHands: 'dry hands',

  // Words
  step2: '· step',
  notBegun: ' · not begun',
  askTheClientUPutsIt: '. Ask the client; U puts it back.',
  stopped: 'Stopped.',
  isOutOfMoreOfThe: (n: number) => `is out of ${n} more of the rest`,
  doesNotComeAgain: 'does not come again',
  sayWhatComesNowAndAsk: 'Say what comes now, and ask, before your hands do it.',
  askNowIsThePressureRight: 'Ask now: is the pressure right?',
  lighter: 'lighter',
  deeper: 'deeper',
  now: 'now',
  withThe: (tool: string) => `With the ${tool}`,
  with: (oilName: string) => `With “${oilName}”`,

  // Zones
  touchTheBody: (backName: string) => `Touch the body: ${backName}`,
  touchTheWords: (nextName: string) => `Touch the words: ${nextName}`,

  // keeping
  opening: 'opening …',
  allKept: 'all saved',
  keptHereSentWhenTheHouse: (count: number) => `${count} saved here, sent when the house answers`,
  readyWithoutTheNetwork: 'ready without the network',
  needsTheNetworkToBeOpened: 'needs the network to be opened again',

  // pace
  pressSpaceToBegin: 'press Space to begin',
  doneGoOnWhenReady: 'done: go on when ready',
  makeTheChangeThenFindThe: 'make the change, then find the place',
  findThePlace: 'find the place',
  holdOf: (repetition: number, repetitions: number) => `hold ${repetition} of ${repetitions}`,
  holdStill: 'hold still',
  breatheIn: 'breathe in',
  breatheOut: 'breathe out',
  slowlyOneAtATime: 'slowly, one at a time',
  oneSlowStroke: 'one slow stroke',
  moveOn: 'move on',
  oneASecond: 'one a second',
  endsMinLate: (late: number) => `ends ${late} min late`,
  endsInTime: 'ends in time',
  onTime: 'on time',
  min: 'min',
  behind: 'behind',
  ahead: 'ahead',
  secondsOfTheHoldAreLeft: (shown: number) => `${shown} seconds of the hold are left`,
  repetitionOf: (repetition: number, repetitions: number) => `Repetition ${repetition} of ${repetitions}`,
  stepOf: (n: number, count: number) => `Step ${n} of ${count}`,

  // TaughtStrip
  never: 'Never',
  itHasWorkedWhen: 'It has worked when',
  why: 'Why',

  // useTableKeys
  doneOnToTheNextStep: 'done, on to the next step (foot switch)',
  backOneStep: 'back one step',
  pauseAndGoOn: 'pause, and go on',
  skipThisStep: 'skip this step',
  soundOfTheBeatOnOr: 'sound of the beat on or off',
  timeRunsShortShortenEvenly: 'time runs short: shorten evenly',
  timeRunsShortLeaveOutWhat: 'time runs short: leave out what is named',
  timeRunsShortRunOver: 'time runs short: run over',
  timeIsLeftUseItFor: 'time is left: use it for what soothes',
  markWhatIsFeltOrSaid: 'mark what is felt or said here',
  onWhichSideLeftRightBoth: 'on which side: left, right, both',
  painThisTechniqueGoesOutOf: 'pain: this technique goes out of the rest',
  pressureWasAskedAbout: 'pressure was asked about',
  askedAgainBeforeAPartNothing: 'asked again before a part: nothing against it, or leave it out',
  stayHereHalfAsLongAgain: 'stay here half as long again',
  whyThisStep: 'why this step, and again to hide it',
  goOnByTheClockOr: 'go on by the clock, or only by hand',
  takeOverWhereThisDeviceOnly: 'take over, where this device only follows',
  saving: 'saving …',

  // DropCount
  aDropHasFallen: 'a drop has fallen, where drops are counted',
  oneDropTooMany: 'one drop was counted too many',
  dropsOf: (fell: number, wanted: number) => `${fell} of ${wanted} ${wanted === 1 ? 'drop' : 'drops'}`,
  ofDrops: (wanted: number, name: string) =>
    `of ${wanted === 1 ? '1 drop' : `${wanted} drops`} of ${name.toLowerCase()}`,
  noLimitIsKnownOfIt: 'no limit is known',
  mayHaveToday: (left: number) => `${left === 1 ? 'one more' : `${left} more`} may fall today`,
  noMoreToday: (of: string) => `no more today (${of.toLowerCase()})`,
  aDrop: 'a drop',
  oneTooMany: 'one too many',
  table: (owner: string) => `table ${owner} `,
  breathe: 'Breathe',
  clear: 'Clear',
  prepare: 'Prepare',
  soften: 'Soften',
  drain: 'Drain',
  carry: 'Carry',
  returnWord: 'Return',
  close: 'Close',
  turn: 'Turn',
  goOn: 'go on',
  beatSoundOn: 'beat: sound on',
  beatSilent: 'beat: silent',
  byTheClock: 'by the clock',
  byHand: 'by hand',
};
