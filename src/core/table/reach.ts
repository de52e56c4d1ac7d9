import type { TableStep } from './table-step';
import { tableSays } from './table.says';

/**
 * What the next step asks for that this one does not: turning, hands, gloves, a tool, a blend. Told one step ahead, so
 * that nobody fumbles; empty where the hands simply go on.
 * @param oilOf the blend that a step is worked with, by name
 */
export function reachFor(
  now: TableStep,
  next: TableStep | undefined,
  oilOf: (step: TableStep) => string | undefined,
): readonly string[] {
  if (!next) return [tableSays.waterForTheClientAHand];
  const tool = next.told?.tool;
  const oil = oilOf(next);
  const dropped = next.told?.dropped;
  return [
    ...(next.changes ?? []),
    ...(tool !== undefined && tool !== now.told?.tool ? [tableSays.takeUpThe(tool)] : []),
    ...(dropped !== undefined
      ? [
          tableSays.takeUpThe2(
            dropped.name.toLowerCase(),
            dropped.drops === 1 ? tableSays.oneDrop : `${dropped.drops} drops`,
          ),
        ]
      : []),
    ...(oil !== undefined && oil !== oilOf(now) ? [tableSays.withinReach(oil)] : []),
  ];
}
