/** The sheets of the measure view. */
export const measureSheets = ['tape', 'skin', 'feel', 'face', 'lines', 'belly', 'pictures'] as const;
export type MeasureSheet = (typeof measureSheets)[number];

const faceWork: ReadonlySet<string> = new Set([
  'facial-massage',
  'facial-intraoral',
  'facial-roller',
  'facial-scraping-tool',
  'neck-mobilisation',
]);

interface MeasuredVisit {
  /** Areas that are to be drained. */
  readonly focus: readonly string[];
  /** Kinds of work; undefined for a drainage alone. */
  readonly modalities: readonly string[] | undefined;
}

/**
 * The sheet that a visit opens on: what its work changes and what is compared afterwards. A limb that is drained is
 * taped; a face or a neck is measured there (range of the neck, distances, then lines); a belly by its girth; any
 * other work asks how it feels.
 */
export function firstSheet({ focus, modalities }: MeasuredVisit): MeasureSheet {
  const isDrained =
    modalities === undefined || modalities.includes('lymph-drainage') || modalities.includes('reroute-drainage');
  const has = (start: string) =>
    focus.some((area) => area === start || area.startsWith(`${start}.`) || area.startsWith(`${start}-`));
  if (isDrained && (has('leg') || has('arm'))) return 'tape';
  if ((isDrained && (has('face') || has('neck'))) || modalities?.some((kind) => faceWork.has(kind))) return 'face';
  if ((isDrained && has('abdomen')) || modalities?.includes('abdominal-massage')) return 'belly';
  return isDrained ? 'tape' : 'feel';
}
