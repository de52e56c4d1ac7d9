import { expose } from 'comlink';
import type { TableChange } from '../core/table/table-event';
import { type CatchUp, type TableClock, waysToCatchUp } from '../core/table/refit';
import type { TableStep } from '../core/table/table-step';

/** What can be done about a drift, by the exact time fit, away from the thread that keeps the beat. */
function waysFor(steps: readonly TableStep[], clock: TableClock, change: TableChange): readonly CatchUp[] {
  return waysToCatchUp(steps, clock, change);
}

const api = { waysFor };
export type TableApi = typeof api;

expose(api);
