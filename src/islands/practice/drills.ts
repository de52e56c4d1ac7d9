import { lazy, type ReactNode } from 'react';
import type { PracticeMarked } from '../../contracts/practice';
import { type DrillKind, drillKinds } from '../../core/training/kinds';

type AnyDrill = (props: {
  readonly question: unknown;
  readonly onChange: (answer: unknown) => void;
  readonly best: unknown;
  readonly faults: PracticeMarked['faults'];
}) => ReactNode;

/** Each kind with the components that it is drawn by: none is fetched for another. */
const fetched = {
  order: async () => (await import('./OrderDrill')).OrderDrill,
  route: async () => (await import('./RouteDrill')).RouteDrill,
  direction: async () => (await import('./DirectionDrill')).DirectionDrill,
  pace: async () => (await import('./PaceDrill')).PaceDrill,
  count: async () => (await import('./CountDrill')).CountDrill,
  heat: async () => (await import('./HeatDrill')).HeatDrill,
  drops: async () => (await import('./DropsDrill')).DropsDrill,
  screen: async () => (await import('./ScreenDrill')).ScreenDrill,
  change: async () => (await import('./ChangeDrill')).ChangeDrill,
};

/** Fetches what a kind is drawn by, while its case is still being made. */
export const fetchDrill = (kind: DrillKind): void => void fetched[kind]();

// Its question and answer are of each kind's own shape.
const drawnBy = (kind: DrillKind) => lazy(async () => ({ default: (await fetched[kind]()) as unknown as AnyDrill }));

/** How each kind of drill is shown. */
export const drills = Object.fromEntries(drillKinds.map((kind) => [kind, drawnBy(kind)])) as Readonly<
  Record<DrillKind, ReturnType<typeof drawnBy>>
>;
