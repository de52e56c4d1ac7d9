import { editsBetween, forgivenEdits, plainLetters } from '../search/nearness';

/** A class of medicines that changes what may be done. */
export interface MedicineClass {
  readonly label: string;
  /** Findings that it stands for, or hints at. */
  readonly conditions: readonly string[];
  /** Certain: who takes it has the finding. Otherwise it is only worth asking. */
  readonly isCertain: boolean;
  readonly names: readonly string[];
}

export interface RecognisedMedicine {
  readonly written: string;
  readonly name: string;
  readonly medicineClass: MedicineClass;
}

/** From so many on, they act on one another and on the skin. */
const manyMedicines = 5;

/** Names of medicines in free text, forgiving of a slip of the pen; the dose beside them does not matter. */
export function recogniseMedicines(text: string, classes: readonly MedicineClass[]): readonly RecognisedMedicine[] {
  const words = plainLetters(text)
    .split(/[^a-z’'-]+/)
    .filter((word) => word.length > 3);
  const found = new Map<string, RecognisedMedicine>();
  for (const written of words) {
    const match = nearestName(written, classes);
    if (match && !found.has(match.name)) found.set(match.name, { written, ...match });
  }
  return [...found.values()];
}

function nearestName(
  written: string,
  classes: readonly MedicineClass[],
): { readonly name: string; readonly medicineClass: MedicineClass } | undefined {
  let best: { name: string; medicineClass: MedicineClass; edits: number } | undefined;
  for (const medicineClass of classes) {
    for (const name of medicineClass.names) {
      const most = Math.min(forgivenEdits(name.length), name.length > 6 ? 1 : 0);
      const edits = editsBetween(written, name, most);
      if (edits <= most && (!best || edits < best.edits)) best = { name, medicineClass, edits };
    }
  }
  return best;
}

/** Whether the text lists so many medicines that this is a finding by itself; one to a line, or between commas. */
export function isManyMedicines(text: string): boolean {
  return text.split(/[\n,;]+/).filter((part) => part.trim() !== '').length >= manyMedicines;
}
