import { type Anatomy, isIn, type PlaceId } from '../anatomy/place';
import type { Family, Technique, Trait } from '../library/technique';

/** What a technique has to do, and where, to carry the danger of a kind of work that it is judged as. */
interface Hazard {
  readonly traits?: readonly Trait[];
  readonly families?: readonly Family[];
  readonly on?: 'head-or-neck' | 'trunk-or-limbs';
}

const hazards: Readonly<Record<string, Hazard>> = {
  'neck-mobilisation': { traits: ['traction', 'turns-neck', 'bends-neck', 'pins', 'over-throat'] },
  'thoracic-pump': { traits: ['compresses-chest'] },
  'abdominal-massage': { traits: ['deep-belly'] },
  'hot-stone': { traits: ['heat'] },
  'cold-stone': { traits: ['cold'] },
  'facial-intraoral': { traits: ['inside-mouth'] },
  'facial-scraping-tool': { traits: ['scrape'], on: 'head-or-neck' },
  'spine-oil-layering': { traits: ['neat-drops'] },
  aromatherapy: { traits: ['scented', 'neat-drops'] },
  'facial-massage': { traits: ['pinch', 'press-hold', 'friction', 'stimulating'], on: 'head-or-neck' },
  'body-massage': { families: ['effleurage', 'petrissage', 'friction', 'stretch', 'spine-oil'], on: 'trunk-or-limbs' },
  'dry-brush': { families: ['brush'] },
  breathing: { traits: ['breath-linked'] },
};

/**
 * Whether a technique at these places carries the danger of a kind of work, so that what is decided for that whole kind
 * binds it too, whatever treatment it stands in.
 */
export function carriesHazard(
  anatomy: Anatomy,
  modality: string,
  technique: Pick<Technique, 'traits' | 'family'>,
  places: readonly PlaceId[],
): boolean {
  const hazard = hazards[modality];
  if (!hazard) return false;
  const isOfKind =
    technique.traits.some((trait) => hazard.traits?.includes(trait)) ||
    (hazard.families?.includes(technique.family) ?? false);
  if (!isOfKind || !hazard.on) return isOfKind;
  const isOnHead = (place: PlaceId) => {
    const part = anatomy.territories.get(place)?.part;
    return part === undefined ? isIn(anatomy, 'head-nodes', place) : part === 'head' || part === 'neck';
  };
  return places.some((place) => isOnHead(place) === (hazard.on === 'head-or-neck'));
}
