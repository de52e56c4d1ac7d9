import { countOf } from '../../core/wording/count';

/** What the practice place says, in the order of its files. */
export const practiceWords = {
  practice: 'Practice',
  drills: 'Drills',

  // Practice
  asItComes: 'as it comes',
  panes: 'Parts of the practice place',
  theCase: 'The case',
  whatIKnow: 'What I know',
  level: 'Level',
  seed: (seed: number) => `case ${seed}`,
  courseOfAPlan: 'a course from a plan',
  minutesOf: (minutes: number) => `${minutes} of 10 minutes`,
  givenFor: (skill: string) => `It is about: ${skill}.`,
  leave: 'Leave it for now',
  tenMinutesDone: (answers: string, percent: number) =>
    `Ten minutes are done: ${answers}, ${percent} of 100 on the average. That is enough for today; go on if you like.`,
  answers: (count: number) => countOf(count, 'case'),
  comesBack: (titles: string) => `Comes back: ${titles}.`,
  inARow: (count: number) => `${count} of 20 in a row`,
  likeThis: 'Again like this',
  andMore: (count: number) => `and ${count} more`,
  theRule: (sentence: string) => `Why: ${sentence}`,

  madeUp: 'Made-up cases; nobody’s data is used.',
  theCaseComes: 'The case comes …',
  answer: 'Answer',
  giveUp: 'Show me',
  another: 'Go on',
  again: 'The same again',
  right: 'Right.',
  nearly: 'Nearly.',
  notYet: 'Not yet.',
  points: (percent: number) => `${percent} of 100`,
  anotherKey: 'The next case',
  answerKey: 'Answer',
  tryAgain: 'Fetch it again',

  // case-marks
  swollen: 'swollen',

  // OrderAfter
  seeHowItFlows: 'See how it flows',

  // OrderDrill
  bestWas: 'What would have been right',
  rightOrder: 'Right order',
  bodyOfTheCase: 'Body of the case',
  whoseOrder: 'Whose order is shown',
  away: '×',
  putIntoOrder: 'Press the steps in their order; drag them, or Alt and the arrows, to move them.',
  someMustNot: 'Some of them must not be done: leave those out.',
  yourOrder: 'Your order',
  stillToPlace: 'Still to place',
  step: 'step',
  takeOut: (title: string) => `Take out: ${title}`,
  closingAt: (place: string) => `a closing at the ${place}`,
  strokeAt: (place: string) => `a stroke at the ${place}`,

  // RouteDrill
  beginsAt: (label: string) => `Begin at the ${label}. Touch each next place on the way, and end in a node group.`,
  theWay: 'The way',
  theBestWay: 'The best way',
  yourWay: 'Your way',
  bodyToLead: 'Body to lead the fluid on',
  lastOneBack: 'Take the last place back',
  groupsOpened: 'Groups opened first',
  openNothing: 'none yet',

  // DirectionDrill
  whichWay: (label: string) => `Which way does the stroke at the ${label} go?`,
  towards: (label: string) => `It goes on to the ${label}.`,
  turnTheStroke: 'Turn the stroke',
  drawIt: 'Draw it on the picture, or turn it with the arrow keys.',
  strokePad: (degrees: number) => `Your stroke, ${degrees}° from the right, clockwise`,

  // PaceDrill
  everySeconds: (low: number, high: number) => `One every ${low} to ${high} seconds.`,
  startTheMinute: 'Press to begin; every press counts, Space and foot switch too.',
  tap: 'Stroke',
  secondsLeft: (seconds: number) => `${seconds} s to go`,
  tapsSoFar: (count: number) => countOf(count, 'stroke'),
  gaps: 'Your gaps over the minute',

  minuteWasLost: 'The minute was not whole. Nothing of it is counted.',
  minuteAgain: 'Take the minute again',
  meanSpreadDrift: (mean: string, spread: string, drift: string) =>
    `One every ${mean} s; the gaps differ by ${spread} %; ${drift}.`,
  noDrift: 'as fast at the end as at the beginning',
  slowerAtTheEnd: (percent: number) => `${percent} % slower at the end`,
  fasterAtTheEnd: (percent: number) => `${percent} % faster at the end`,

  // CountDrill
  toCount: 'To be counted',
  strokesOf: (own: number, count: number) => `${own} of ${count}`,
  onAtTheStroke: 'On, at the right stroke',
  space: 'Space',
  begin: 'Begin',
  onNow: 'On',
  allCounted: 'All counted',

  // HeatAfter
  skinOverTime: 'The skin under the stone, as it would have been right',
  skinOverTimeBoth: 'The skin under your stone; dashed, under the one that would have been right',

  // HeatDrill
  rightWas: (value: string) => `right: ${value}`,
  firstTouch: 'At the first touch, °C',
  mayLie: 'May lie, seconds',
  giveANumber: 'Give a number.',

  // DropsDrill
  dropsOf: (name: string) => `Drops of ${name}`,
  thatWasRight: 'that was right',
  minus: '−',
  plus: '+',
  less: (name: string) => `One drop less of ${name}`,
  more: (name: string) => `One drop more of ${name}`,
  notForThisClient: 'Not for this client',

  // ScreenDrill
  limitThatMatters: 'The limit that matters most',
  noneHolds: 'none of these holds',

  // ChangeDrill
  girths: 'Girths of both runs, cm',
  mark: 'Mark',
  swollenBefore: 'swollen, before',
  swollenAfter: 'swollen, after',
  otherBefore: 'other, before',
  otherAfter: 'other, after',
  whatIsIt: 'What is it?',
  wasRight: (text: string) => `${text}: right`,
  changed: 'changed',
  notToBeTold: 'cannot be told',
  slipped: 'the tape slipped',

  // Known
  weakestFirst: 'Weakest first.',
  comeBackToday: (count: number) => `${countOf(count, 'rule')} come back today.`,
  comesBackToday: 'One rule comes back today.',
  nothingDue: 'Nothing is due today.',
  notAskedYet: (count: number) => `${countOf(count, 'rule')} not asked yet`,
  sureOf: (title: string, percent: number) => `${title}: ${percent} of 100 sure`,
  yourSessions: 'Your sessions',
  sessionIs: (day: string, minutes: number, answers: string, percent: number) =>
    `${day}: ${minutes} min, ${answers}, ${percent} of 100`,
  setForYou: 'Set for you',
  dueBy: (due: string) => `by ${due}`,
  beforeWork: (work: string) => `before ${work}`,
  bestSoFar: (percent: number) => `${percent} of 100 so far`,
  setIs: (kind: string, level: number, seed: number) => `${kind}, level ${level}, case ${seed}`,
  asTable: 'As a table (CSV)',
  asPage: 'On a page (PDF)',
  erase: 'Erase my results …',
  eraseTitle: 'Erase all that you have practised?',
  eraseWhat: 'Answers, sessions and what is known go for good, from here and from what your trainer sees.',
  eraseNow: 'Erase it all',
  keep: 'Keep it',
  theHousePractises: 'The house practises …',
  onlyYours: 'Yours and your trainer’s; nobody else sees it.',

  // Team
  teamTitle: 'How the house practises',
  noRanks: 'In the order of the house, not of merit.',
  person: 'Person',
  lastTime: 'Last',
  thisWeek: 'This week',
  minutes: (count: number) => `${count} min`,
  never: 'not yet',
  weakest: 'Least sure in',
  sureIn: 'Sure in',
  ofSets: 'Drills that are set',
  setADrill: 'Set a drill to everybody',
  which: 'Drill',
  caseNumber: 'Case',
  dueOn: 'Due on',
  beforeWhich: 'Asked before',
  noWork: 'no kind of work',
  mentionOnly: 'Booking and plan mention it while it is not done well; they never forbid.',
  set: 'Set it',
  end: 'End it',
  endOf: (what: string) => `End: ${what}`,
  noSets: 'None is set.',
};
