import type { OilId } from '../ids';
import type { Drops } from '../quantities';
import type { TableEvent } from './table-event';
import { tableSays } from './table.says';

/** Drops of an oil that fell straight onto the skin in a step. */
export interface Dropped {
  readonly stepId: string;
  readonly oil: OilId;
  readonly drops: Drops;
}

/** What fell at the table, step by step: each count says all of its step, so the last one stands. */
export function droppedOf(events: readonly TableEvent[]): readonly Dropped[] {
  const steps = new Map<string, Dropped>();
  for (const { kind, stepId, oil, drops } of events)
    if (kind === 'drops' && stepId !== null && oil !== undefined && drops !== undefined)
      steps.set(stepId, { stepId, oil, drops });
  return [...steps.values()].filter(({ drops }) => drops > 0);
}

/** The same by oil. @param except a step that is not counted in */
export function dropsByOil(dropped: readonly Dropped[], except?: string): Readonly<Record<OilId, Drops>> {
  const sums: Record<OilId, Drops> = {};
  for (const { stepId, oil, drops } of dropped) if (stepId !== except) sums[oil] = (sums[oil] ?? 0) + drops;
  return sums;
}

/** `Dropped straight onto the skin: cypress 4, lavender 6.`, for the note; nothing where nothing fell. */
export function droppedInWords(dropped: readonly Dropped[], names: Readonly<Record<OilId, string>>): readonly string[] {
  const parts = Object.entries(dropsByOil(dropped)).map(
    ([oil, drops]) => `${(names[oil] ?? oil).toLowerCase()} ${drops}`,
  );
  return parts.length > 0 ? [tableSays.droppedStraightOntoTheSkin(parts.join(', '))] : [];
}
