/** What the replay of a plan says, in the order of its files. */
export const flowWords = {
  // FlowBody
  ml: (ml: string) => `${ml} mL`,
  out: (ml: string) => `${ml} mL out`,
  bodyAt: (title: string, ml: string) => `${title}: ${ml} mL have left to the veins`,
  // FlowLines
  lines: (own: string, planned: string, other: string, title: string) =>
    `What has left to the veins at the end: ${own} ${planned} mL; ${title} ${other} mL`,
  // Replay
  flowOfThisPlan: 'the flow of this plan',
  explains: 'It explains order. It predicts nobody’s body.',
  besideIt: 'Beside it',
  anotherOrder: (title: string) => `Another order: ${title}`,
  nothingBeside: 'nothing',
  asPlanned: 'as planned',
  asItStands: 'as it stands',
  asProposed: 'as proposed',
  farFirst: 'far end first',
  notPrepared: 'ways not prepared',
  notCarried: 'nothing carried on',
  openedLast: 'opened last',
  nothingOpened: 'nothing opened',
  farFirstWhy: 'The far end pushes into skin that is still full; it has nowhere to go.',
  notPreparedWhy: 'What is stroked towards a way that nobody prepared stays before it.',
  notCarriedWhy: 'What is drained inside the limb is not carried on to the way that leads out.',
  openedLastWhy: 'Until the outlets open, all that is moved only gathers before them.',
  nothingOpenedWhy: 'Strokes alone open next to nothing: fluid moves, and stays in the body.',
  asProposedWhy: 'The order that was proposed, before it was changed by hand.',
  moreThanTwice: 'In the same time the planned order lets out more than twice as much.',
  letsOut: (planned: string, other: string) =>
    `The planned order lets out ${planned} mL, this one ${other} mL in the same time.`,
  same: 'Both let out the same in the same time.',
  otherMore: (planned: string, other: string) =>
    `This one lets out ${other} mL, the plan ${planned} mL in the same time.`,
  letOut: (planned: string) => `In this time the plan lets out ${planned} mL.`,
  space: 'Space',
  play: 'Play',
  pause: 'Pause',
  fromTheBeginning: 'Play again',
  times: (speed: number) => `${speed} ×`,
  speed: (speed: number) => `Speed: ${speed} times`,
  moment: 'Moment of the treatment',
  stepAt: (number: number, title: string, now: string, end: string) => `step ${number} · ${title} · ${now} of ${end}`,
  after: (now: string, end: string) => `after the last step · ${now} of ${end}`,
  toTheChosenStep: 'To the chosen step',
  back: 'Back to the plan',
  following: 'The fluid is followed …',
  unreadable: 'This case cannot be followed any more: plan it again first.',
  stills: 'Ten moments of the treatment',
  playOrPause: 'Play or pause',
  tenBackOn: 'Ten seconds back or on',
  speedKey: 'Speed',
  otherKey: 'Another order beside it',
  // OrderCost
  costsNothing: (ml: string) => `This order lets out ${ml} mL, as much as the proposed one.`,
  thisOrderLetsOut: (own: string, best: string) =>
    `This order lets out ${own} mL, the proposed one ${best} mL in the same time.`,
};
