import { expose } from 'comlink';
import { anatomy } from '../catalogue/anatomy';
import { type DrainageCase, readCase } from '../core/drainage/case';
import { type Flow, flowOf } from '../core/flow/flow';
import { flowGraph, type FlowStep, usualStart } from '../core/flow/model';
import type { Seconds } from '../core/quantities';

/** A case, and the courses that are followed through it beside each other. */
export interface FlowAsked {
  readonly drainageCase: DrainageCase;
  readonly courses: Readonly<Record<string, readonly FlowStep[]>>;
  readonly seconds: Seconds;
  readonly every: Seconds;
}

/** Follows fluid away from the page's own thread. */
const api = {
  /** @returns undefined for a case that cannot be read any more */
  follow: ({ drainageCase, courses, seconds, every }: FlowAsked): Readonly<Record<string, Flow>> | undefined => {
    const read = readCase(anatomy, drainageCase);
    if (!read.ok) return undefined;
    const graph = flowGraph(anatomy, read.value.hindrances, read.value.findings);
    const start = usualStart(anatomy, read.value.territories);
    return Object.fromEntries(
      Object.entries(courses).map(([id, steps]) => [id, flowOf({ graph, start, steps, seconds, every })]),
    );
  },
};
export type FlowApi = typeof api;

expose(api);
