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
const ofHouse = (table: DetectableChange, own: number | undefined): DetectableChange =>
  own === undefined ? table : { same: own, different: Math.max(own, table.different) };

/** The therapist's own figure, from pairs of readings. */
export interface OwnError {
  readonly pairs: number;
  readonly mdc95: number;
}

export const fewestOwnPairs = 10;

/** Who taped, the second time by the same hands or not, and what is known of their error. */
export interface WhoTaped {
  readonly isSameTherapist: boolean;
  readonly own?: OwnError | undefined;
}

/** The change of a limb's volume that has to be exceeded (mL), by the table with the house's own figures laid over it. */
export function volumeLimitMl(
  table: Readonly<Record<MeasuredQuantity, DetectableChange>>,
  house: Readonly<Partial<Record<MeasuredQuantity, number>>>,
  limb: 'arm' | 'leg',
  who: WhoTaped,
): number {
  const quantity = `${limb}-volume` as const;
  return detectableChange(ofHouse(table[quantity], house[quantity]), who);
}

/** The change that has to be exceeded: one's own figure once ten pairs stand behind it, else the table's. */
function detectableChange(table: DetectableChange, { isSameTherapist, own }: WhoTaped): number {
  const ownMdc = own && own.pairs >= fewestOwnPairs ? own.mdc95 : undefined;
  if (!isSameTherapist) return Math.max(table.different, ownMdc ?? 0);
  return ownMdc ?? table.same;
}
