import type { Decision } from '../screening/tables';
import type { DrillKind } from './kinds';
import { trainingSays } from './training.says';

/** What a kind of drill is called. */
export const drillNames: Readonly<Record<DrillKind, string>> = {
  order: trainingSays.nameOfOrder,
  route: trainingSays.nameOfRoute,
  direction: trainingSays.nameOfDirection,
  pace: trainingSays.nameOfPace,
  count: trainingSays.nameOfCount,
  heat: trainingSays.nameOfHeat,
  drops: trainingSays.nameOfDrops,
  screen: trainingSays.nameOfScreen,
  change: trainingSays.nameOfChange,
};

/** What is decided, in one or two words. */
export const decisionNames: Readonly<Record<Decision, string>> = {
  ok: trainingSays.mayGo,
  modify: trainingSays.mayGoChanged,
  'clear-first': trainingSays.clearFirst,
  refer: trainingSays.toBeReferred,
  stop: trainingSays.toBeStopped,
};
