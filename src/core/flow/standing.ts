import type { Anatomy } from '../anatomy/place';
import { type DrainageCase, readCase } from '../drainage/case';
import type { Flow } from './flow';
import { type StartMl, usualStart } from './model';
import { startFromTape, type TapedExcess } from './tape-start';

/**
 * What lies where before the first stroke: what a tape run found, or the focus two thirds full.
 * @returns undefined for a case that cannot be read any more
 */
export function startOf(anatomy: Anatomy, drainageCase: DrainageCase, taped: TapedExcess | null): StartMl | undefined {
  const read = readCase(anatomy, drainageCase);
  if (!read.ok) return undefined;
  return (taped && startFromTape(anatomy, taped)) ?? usualStart(anatomy, read.value.territories);
}

/** A flow that has not begun to be followed: to be drawn at once, until the course is here. */
export function standingFlow(start: StartMl): Flow {
  const startMl = Object.values(start).reduce((sum, ml) => sum + ml, 0);
  return {
    startMl,
    series: [{ second: 0, drainedMl: 0, insideMl: startMl }],
    left: start,
    places: Object.fromEntries(Object.entries(start).map(([place, ml]) => [place, [ml]])),
    peak: [],
  };
}
