import { timesText } from '../../core/wording/count';

/** What the plan view says, in the order of its files. */
export const planWords = {
  // ChangeWish
  timeAndSchoolOfThisPlan: 'Time and school of this plan',
  minutes: 'Minutes',
  ifTimeIsLeftOver: 'If time is left over',
  endEarly: 'end early',
  moreRepetitions: 'more repetitions',
  planningAgainPutsTheStepsBack: 'Planning again puts the steps back into the planned order.',
  cancel: 'Cancel',
  planAgain: 'Plan again',

  // Course
  seeItFlow: 'See it flow',
  lastTimeHere: (found: string) => ` · last time ${found}`,
  foundBefore: (what: string, words: string) => `${what}: ${words}.`,
  firmThere: (what: string, words: string) => `${what} (${words}): soften it before it is drained?`,
  softenIt: 'Soften it',
  leaveItOut: 'Not this time',
  practiseIt: 'Practise this course',
  theCourse: 'The course',
  step: 'step',
  movedHereByYou: 'moved here by you',
  advice: 'Advice:',
  mend: 'Mend',
  mend2: (title: string) => `Mend ${title}`,
  rulesBehindIt: 'Rules behind it',

  // FirstPlan
  thePlanCouldNotBeMade: 'The plan could not be made',
  tryAgain: 'Try again',
  planningTheVisit: 'Planning the visit …',
  fromWhatWasAskedWhatWas: 'From what was asked, what was found and the time that is booked.',

  // NoPlan
  theCheckStoppedThisVisit: 'The check stopped this visit',
  thisCannotBePlannedYet: 'This cannot be planned yet',
  askFirst: 'Ask first',
  oneAnswerSpeaksAgainstAnyWork: 'One answer speaks against any work today. Nothing is planned until it is corrected.',
  theQuestionsBeforeAVisitTake:
    'The questions before a visit take a minute. The plan is made as soon as they are answered.',
  seeTheFindings: 'See the findings',
  seeTheAnswers: 'See the answers',
  toTheQuestions: 'To the questions',

  // PlanActions
  undo: 'Undo',
  storing: 'saving …',
  stored: 'saved',
  toTheTable: 'To the table',
  toTheTable2: 'To the table …',

  // PlanNotices
  oneRuleIsBroken: 'One rule is broken.',
  rulesAreBroken: (broken: number) => `${broken} rules are broken.`,
  keptBecause: (reason: string) => `Kept because: ${reason}`,
  mendAll: 'Mend all',

  // PlanSide
  waysOutTimeAndSchool: 'Ways out, time and school',
  notToBeCarriedOut: 'Not to be carried out',
  handOverTo: (name: string) => `Hand over to ${name}`,
  time: 'Time',
  of: 'of',
  min: 'min.',
  school: 'School',
  changeTimeOrSchool: 'Change time or school',
  whatShapedIt: 'What shaped it',
  hasToWait: 'Has to wait',
  crossesTheTable: (times: number) => `You cross the table ${timesText(times)}.`,
  itDoesNotAllFit: 'It does not all fit.',
  itFits: 'It fits.',
  drainingHasAllTheRepetitionsThat: 'Draining has all the repetitions that help; the rest is free for rest.',
  itEndsEarlyFillTheTime: 'It ends early; fill the time if you like.',

  // PlanView
  bodyMap: 'Body map',
  planFor: (name: string) => `Plan for ${name}`,
  noStepOfThisPlanIs: 'No step of this plan is there.',
  moreThanDrainage: 'More than drainage',
  stepsDragOr: 'steps · drag, or',
  alt: 'Alt',
  findingsOrTherapistHaveChanged: 'Findings or therapist have changed since this plan was made.',
  print: 'Print',
  moreOnTheTighterSide: (side: string, found: string) => `More on the ${side}. ${found}.`,
  atThePaceOf: (name: string) => `Times as ${name} takes them.`,
  theCourseBreaksARule: 'The course breaks a rule',

  // PrintPlan
  backToThePlan: 'Back to the plan',
  ofMin: (date: string, time: string, work: string, name: string, total: string, minutes: number) =>
    `${date}, ${time} · ${work} · ${name} · ${total} of ${minutes} min`,
  notToBeCarriedOut2: 'Not to be carried out:',
  plan: (view: string) => `Plan, ${view}`,
  thisVisit: 'This visit',
  leftOut: 'Left out',
  instead: (instead: string) => ` Instead: ${instead}.`,
  waysOut: 'Ways out',
  notThe: (place: string) => `Not the ${place}.`,
  mind: 'Mind',
  hasToWait2: (n: string) => `Has to wait: ${n}.`,
  beforeTheClientComes: 'Before the client comes',
  atTheDoor: 'at the door',
  minBefore: (minutesBefore: number) => `${minutesBefore} min before`,
  no: 'No.',
  step2: 'Step',
  whichWayHow: 'Which way, how',
  times: 'Times',
  velvetStoneSupportsTrainedHandsIt:
    'Velvet Stone supports trained hands; it is no medical device. Local law, professional codes and the limits of the practitioner’s licence come first. Pain is a sign to stop.',

  // ReasonDialog
  whyDoYouKeepItThis: 'Why do you keep it this way? It stays in the record.',
  mendAllInstead: 'Mend all instead',
  keepIt: 'Keep it',

  // SchoolFields
  start: 'Start',
  neckFirst: 'neck first',
  breathFirst: 'breath first',
  hand: 'Hand',
  skinStretch: 'skin stretch',
  sweep: 'sweep',
  roller: 'roller',
  removedNodes: 'Removed nodes',
  keepAway: 'keep away',
  touchWhatIsLeftLast: 'touch what is left, last',
  theNearest: 'the nearest',
  twoIfNearEnough: 'two, if near enough',

  // WayCard
  wayToThe: (name: string) => `Way to the ${name}`,
  about: ': about',
  ofSkin: 'of skin,',
  inUse: 'in use',
  notInUse: 'not in use',
  handsWidth: 'hand’s width',
  handsWidths: 'hand’s widths',
  noScarOnTheWay: 'no scar on the way',
  acrossScars: (count: number) => `across ${count} scars`,
  useItToo: 'Use it, too',
  doWithoutIt: 'Do without it',
  theOnlyWayLeft: 'the only way left',
  close: 'Close',

  // WaysOut
  about2: 'about',
  ofSkin2: 'of skin',
  min2: (minutes: number) => `, ${minutes} min`,
  doWithoutThe: (place: string) => `Do without the ${place}`,
  aboutMin: (why: string, minutes: number) => `${why} About ${minutes} min.`,
  useTheToo: (place: string) => `Use the ${place}, too`,
  backToThePlannersChoice: 'Back to the planner’s choice',
  not: (place: string) => `Not ${place}`,

  // plan-marks
  toDrain: 'to drain',
  toPrepare: 'to prepare',
  hasToWait3: 'has to wait',
  onTheWay: 'on the way',
  exit: (to: string) => `exit ${to}`,

  // school-words
  skinStretchDryHands: 'skin stretch, dry hands',
  lightOneWaySweeps: 'light one-way sweeps',
  stoneRollerByItsOwnWeight: 'stone roller by its own weight',
  rerouteOnly: 'reroute only',
  rerouteThenTouchWhatIsLeft: 'reroute, then touch what is left',
  oneWayOut: 'one way out',
  twoWaysOut: 'two ways out',

  // usePlanKeys
  fromStepToStep: 'from step to step',
  whyAStepStandsWhereIt: 'why a step stands where it stands',
  asTheProtocolHasIt: 'the order as the protocol has it',
  whyNeverFeel: 'why, what never, and what tells the hands: of the open step',
  moveTheStepUp: 'move the step up',
  moveTheStepDown: 'move the step down',
  mendWhatIsBroken: 'mend what is broken',
  undoTheLastMove: 'undo the last move',
  aVisitLasts1To480: 'A visit lasts 1 to 480 minutes.',
};
