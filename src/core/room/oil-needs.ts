import type { Millilitres, Minutes } from '../quantities';
import { nameOf, type PlaceId, type RegionGroups } from '../anatomy/place';
import { facialModalities } from '../library/protocol';
import type { PlannedBlock } from '../treatment/plan-treatment';
import { mediumMl, skinAreaCm2, type SpreadTable } from './medium';

/** How much oil a treatment takes for one part of it, and for how long hands glide on it in one go. */
export interface OilNeed {
  readonly ml: Millilitres;
  readonly cm2: number;
  readonly minutes: Minutes;
  /** What it is poured for; absent in plans of before it was told, and for most of the body. */
  readonly cup?: Cup | undefined;
}

/** A cup that is not for most of the body. */
export type Cup = 'scalp' | 'neck';

export interface OilNeeds {
  readonly body: OilNeed | null;
  readonly face: OilNeed | null;
}

/**
 * Oil for the body and for the face. Face and scalp after a body massage are worked with what is left on the hands, and
 * ask for nothing. Neck and shoulders by themselves take a little only.
 * @param surfaceM2 of this client; the usual adult when not known
 */
export function oilNeeds(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  spread: SpreadTable,
  surfaceM2 = spread.usualSurfaceM2,
): OilNeeds {
  // What drops straight onto the skin is its own medium: no cup is filled for it.
  const oiled = blocks.filter(({ hands, steps }) => hands === 'oiled' && !steps.some(({ layer }) => layer));
  const isFace = ({ modality }: PlannedBlock) => facialModalities.has(modality);
  const isOfHead = (name: string) => groups.face.has(name) || groups.ears.has(name) || groups.scalp.has(name);
  const body = oiled.filter((block) => !isFace(block));
  const leavesSome = body.some(({ modality }) => modality === 'aromatherapy' || modality === 'body-massage');
  const need = (own: readonly PlannedBlock[], isOfBody: boolean): OilNeed | null => {
    const places = own.flatMap(({ steps }) => steps.flatMap((step) => step.places));
    const skin = new Set(isOfBody && leavesSome ? places.filter((id) => !isOfHead(nameOf(id))) : places);
    const cm2 = skinAreaCm2(spread, skin, surfaceM2);
    const cup = isOfBody ? cupOf(groups, skin) : undefined;
    const ml = mediumMl(spread, cm2, !isOfBody ? 'facial' : cup === 'neck' ? 'light-glide' : 'massage');
    const longest = Math.max(0, ...own.map(({ seconds }) => seconds));
    return ml <= 0 ? null : { ml, cm2, minutes: Math.ceil(longest / 60), ...(cup ? { cup } : {}) };
  };
  return { body: need(body, true), face: need(oiled.filter(isFace), false) };
}

/** Whether oil is for head and shoulders, or for neck and shoulders; undefined for any more of the body. */
function cupOf(groups: RegionGroups, places: ReadonlySet<PlaceId>): Cup | undefined {
  const names = [...places].map(nameOf);
  const isOfHead = (name: string) => groups.face.has(name) || groups.ears.has(name) || groups.scalp.has(name);
  if (!names.every((name) => isOfHead(name) || groups['neck-and-shoulders'].has(name))) return undefined;
  return names.some((name) => groups.scalp.has(name)) ? 'scalp' : 'neck';
}
