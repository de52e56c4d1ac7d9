/** Sentences that the core says in `exchange`, in British English; a sentence with values in it is a function of them. */
export const exchangeSays = {
  whichColumnNamesTheClient: 'which column names the client',
  whichColumnHoldsTheName: 'which column holds the name',
  isNoHeight: (text: string) => `“${text}” is no height in cm.`,
  whichColumnHoldsTheDate: 'which column holds the date',
  whetherTheseAreArmsOrLegs: 'whether these are arms or legs',
  whichColumnTellsLeftFromRight: 'which column tells left from right',
  whichColumnsHoldThePointsAnd: 'which columns hold the points and girths',
  isNoDateInTheOrder: (text: string, dateOrder: string) => `“${text}” is no date in the order ${dateOrder}.`,
  isNoDate: (text: string) => `“${text}” is no date.`,
  isNeitherArmNorLeg: (text: string) => `“${text}” is neither arm nor leg.`,
  isNeitherLeftNorRight: (text: string) => `“${text}” is neither left nor right.`,
  isNeitherYesNorNo: (text: string) => `“${text}” is neither yes nor no.`,
  bothSidesAreSwollen: (row: number, date: string) =>
    `Row ${row} says that the other side was the swollen one on ${date}: one side is compared with the other.`,
  isNoneOfBeforeAfterBaseline: (text: string) => `“${text}” is none of before, after, baseline, follow-up.`,
  isNeitherCmNorIn: (text: string) => `“${text}” is neither cm nor in.`,
  isNoPointBetween0And: (text: string, furthestCm: number) => `“${text}” is no point between 0 and ${furthestCm} cm.`,
  isNotAGirth: (girth: string) => `“${girth}” is not a girth.`,
  noMeasuresCheckTheUnit: (limb: string, girth: string) => `No ${limb} measures ${girth}: check the unit.`,
  pointsOnATapingHasTo: (length: number, date: string, fewestPoints: number, mostPoints: number) =>
    `${length} points on ${date}: a taping has ${fewestPoints} to ${mostPoints}.`,
  isAlreadyInRow: (pointCm: number, side: string, row: number) =>
    `The point ${pointCm} cm, ${side}, is already in row ${row} for that day.`,
};
