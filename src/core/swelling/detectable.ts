/** Quantities whose measuring error is known. */
export const measuredQuantities = [
  'arm-volume',
  'leg-volume',
  'girth',
  'thigh-girth',
  'hand-eight',
  'ankle-eight',
  'face-percent',
  'abdomen-girth',
  'impedance-ratio',
] as const;
export type MeasuredQuantity = (typeof measuredQuantities)[number];

/** Minimal detectable change with 95 %; volumes in mL, girths and lengths in cm, the face in per cent of the first value. */
export interface DetectableChange {
  readonly same: number;
  /** Two therapists; as `same` where nothing else is known. */
  readonly different: number;
}

/** The table's figures with the house's own in place of it; two therapists never need less than the table says. */
export const ofHouse = (table: DetectableChange, own: number | undefined): DetectableChange =>
  own === undefined ? table : { same: own, different: Math.max(own, table.different) };

/** The therapist's own figure, from pairs of readings. */
export interface OwnError {
  readonly pairs: number;
  readonly mdc95: number;
}

export const fewestOwnPairs = 10;

/** The change that has to be exceeded: one's own figure once ten pairs stand behind it, else the table's. */
export function detectableChange(
  table: DetectableChange,
  { isSameTherapist, own }: { readonly isSameTherapist: boolean; readonly own?: OwnError | undefined },
): number {
  const ownMdc = own && own.pairs >= fewestOwnPairs ? own.mdc95 : undefined;
  if (!isSameTherapist) return Math.max(table.different, ownMdc ?? 0);
  return ownMdc ?? table.same;
}
