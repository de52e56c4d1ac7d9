import { expose } from 'comlink';
import { anatomy } from '../catalogue/anatomy';
import { type DrainageCase, defaultSchool, readCase } from '../core/drainage/case';
import { type Flow, flowOf } from '../core/flow/flow';
import { flowGraph, type FlowStep, usualStart } from '../core/flow/model';
import { startOf } from '../core/flow/standing';
import type { TapedExcess } from '../core/flow/tape-start';
import type { Seconds } from '../core/quantities';

/** A case, and the courses that are followed through it beside each other. */
export interface FlowAsked {
  readonly drainageCase: DrainageCase;
  readonly courses: Readonly<Record<string, readonly FlowStep[]>>;
  /** What a tape run found; without one every territory in focus begins two thirds full. */
  readonly taped: TapedExcess | null;
  readonly seconds: Seconds;
  readonly every: Seconds;
}

/** An hour of one leg: enough for the engine of the browser to have compiled what a replay needs. */
function practise(): void {
  const read = readCase(anatomy, {
    ...{ focus: ['leg.left'], purpose: 'swelling', minutes: 60, findings: [] },
    ...{ school: defaultSchool, fill: false, qualifications: [] },
  });
  if (!read.ok) return;
  const graph = flowGraph(anatomy, read.value.hindrances, read.value.findings);
  const start = usualStart(anatomy, read.value.territories);
  const [toward, place] = ['inguinal.left', 'thigh-upper-inner.left'];
  const stroke = { via: [], repetitions: 30, placements: 6, seconds: 60 };
  const steps = [
    { ...stroke, kind: 'clear', place: toward, toward: null },
    { ...stroke, kind: 'prepare', place, toward },
    { ...stroke, kind: 'drain', place, toward },
  ];
  flowOf({ graph, start, steps, seconds: 3600, every: 10 });
}

/** Follows fluid away from the page's own thread. */
const api = {
  warm: practise,
  /** @returns undefined for a case that cannot be read any more */
  follow: ({ drainageCase, courses, taped, seconds, every }: FlowAsked): Readonly<Record<string, Flow>> | undefined => {
    const read = readCase(anatomy, drainageCase);
    if (!read.ok) return undefined;
    const graph = flowGraph(anatomy, read.value.hindrances, read.value.findings);
    const start = startOf(anatomy, drainageCase, taped) ?? {};
    return Object.fromEntries(
      Object.entries(courses).map(([id, steps]) => [id, flowOf({ graph, start, steps, seconds, every })]),
    );
  },
};
export type FlowApi = typeof api;

expose(api);
