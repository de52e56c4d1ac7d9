import type { PlaceId } from '../anatomy/place';
import type { Screening } from './screen';
import type { Limits } from './tables';
import { screeningSays } from './screening.says';

/** What a therapist has to know at a glance, whatever the work: places first, then the whole. Never a diagnosis. */
export interface Caution {
  readonly kind: 'keep-off' | 'no-heat' | 'touch' | 'position' | 'oils' | 'care';
  readonly words: string;
}

interface Names {
  /** Several places in a few words: `left arm`, `right upper chest`. */
  readonly places: (places: readonly PlaceId[]) => string;
  readonly oilGroup: (id: string) => string;
}

const positions: Readonly<Record<string, string>> = {
  prone: screeningSays.notFaceDown,
  'supine-flat': screeningSays.notFlatOnTheBack,
};

const cares: readonly (readonly [keyof Limits, string])[] = [
  ['gloves', 'gloves'],
  ['guardian', screeningSays.guardianSignsAndStays],
  ['slowRise', screeningSays.sitUpInSteps],
  ['patchTest', screeningSays.patchTestFirst],
  ['askEachStep', screeningSays.askBeforeEachStep],
  ['noScent', screeningSays.unscentedOnly],
];

/**
 * The cautions of a screening, shortest first sense: what is kept off by hands, where heat is kept away and touch is light, positions,
 * oils, and care. Only whole-body findings of hands-on work are gathered, so that one machine's limit is not everybody's.
 */
export function cautionsOf(screening: Screening, names: Names): readonly Caution[] {
  const at = (modality: string) => screening.regions.filter((row) => row.modality === modality);
  const answer = (modality: string) => screening.byModality.find((row) => row.modality === modality);
  const stopped = (modality: string) => at(modality).filter((row) => row.decision === 'stop');
  const cautions: Caution[] = [];

  const off = stopped('lymph-drainage').map((row) => row.region);
  const drainage = answer('lymph-drainage');
  if (drainage?.decision === 'stop') cautions.push({ kind: 'keep-off', words: screeningSays.noWorkToday });
  else if (off.length > 0) cautions.push({ kind: 'keep-off', words: screeningSays.keepOff(names.places(off)) });

  const heat = answer('hot-stone');
  const cold = stopped('hot-stone')
    .map((row) => row.region)
    .filter((id) => !off.includes(id));
  if (heat?.decision === 'stop' || heat?.limits.noHeat) cautions.push({ kind: 'no-heat', words: screeningSays.noHeat });
  else if (cold.length > 0) cautions.push({ kind: 'no-heat', words: screeningSays.noHeatOn(names.places(cold)) });

  const massage = answer('body-massage');
  const usual = massage?.limits.maxPressure;
  for (const pressure of ['feather', 'light'] as const) {
    const tender = at('body-massage').filter(
      (row) => row.decision === 'modify' && row.limits.maxPressure === pressure && usual !== pressure,
    );
    if (tender.length === 0) continue;
    const isLed = tender.some((row) => row.limits.skipTechniques?.includes('stroke-to-removed-nodes'));
    const where = names.places(tender.map((row) => row.region));
    cautions.push({
      kind: 'touch',
      words: `${pressure === 'feather' ? screeningSays.featherLight : screeningSays.onlyLight} on ${where}${isLed ? screeningSays.neverIntoClosedNodes : ''}`,
    });
  }

  const hands = ['lymph-drainage', 'body-massage', 'facial-massage'].flatMap((id) => answer(id)?.limits ?? []);
  const union = (key: 'avoidPosition' | 'avoidOils' | 'avoidMaterials') => [
    ...new Set([...hands, answer('aromatherapy')?.limits ?? {}].flatMap((limits) => limits[key] ?? [])),
  ];
  for (const position of union('avoidPosition'))
    cautions.push({ kind: 'position', words: positions[position] ?? position });
  const oils = union('avoidOils');
  if (oils.length > 0)
    cautions.push({ kind: 'oils', words: screeningSays.oilsLeftOut(oils.map(names.oilGroup).join('; ')) });
  if (union('avoidMaterials').includes('latex')) cautions.push({ kind: 'care', words: screeningSays.noLatex });
  for (const [key, words] of cares)
    if (hands.some((limits) => limits[key] === true)) cautions.push({ kind: 'care', words });
  return cautions;
}
