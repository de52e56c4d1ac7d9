export const drillKinds = [
  'order',
  'route',
  'direction',
  'pace',
  'count',
  'heat',
  'drops',
  'screen',
  'change',
] as const;
export type DrillKind = (typeof drillKinds)[number];

/** Drills that a course taken from a plan can be practised in. */
export const courseKinds = ['order', 'route'] as const satisfies readonly DrillKind[];

/** Levels rise with skill: one limb and no findings first, then what is in the way, then all of it and little time. */
export const levels = [1, 2, 3, 4] as const;
export type Level = (typeof levels)[number];
