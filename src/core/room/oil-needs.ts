import type { Millilitres, Minutes } from '../quantities';
import { nameOf, type RegionGroups } from '../anatomy/place';
import { facialModalities } from '../library/protocol';
import type { PlannedBlock } from '../treatment/plan-treatment';
import { mediumMl, skinAreaCm2, type SpreadTable } from './medium';

/** How much oil a treatment takes for one part of it, and for how long hands glide on it in one go. */
export interface OilNeed {
  readonly ml: Millilitres;
  readonly cm2: number;
  readonly minutes: Minutes;
}

export interface OilNeeds {
  readonly body: OilNeed | null;
  readonly face: OilNeed | null;
}

/**
 * Oil for the body and for the face. Face and scalp after a body massage are worked with what is left on the hands, and
 * ask for nothing.
 * @param surfaceM2 of this client; the usual adult when not known
 */
export function oilNeeds(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  spread: SpreadTable,
  surfaceM2 = spread.usualSurfaceM2,
): OilNeeds {
  const oiled = blocks.filter(({ hands }) => hands === 'oiled');
  const isFace = ({ modality }: PlannedBlock) => facialModalities.has(modality);
  const isOfHead = (name: string) => groups.face.has(name) || groups.ears.has(name) || groups.scalp.has(name);
  const body = oiled.filter((block) => !isFace(block));
  const leavesSome = body.some(({ modality }) => modality === 'aromatherapy' || modality === 'body-massage');
  const need = (own: readonly PlannedBlock[], isOfBody: boolean): OilNeed | null => {
    const places = own.flatMap(({ steps }) => steps.flatMap((step) => step.places));
    const skin = new Set(isOfBody && leavesSome ? places.filter((id) => !isOfHead(nameOf(id))) : places);
    const cm2 = skinAreaCm2(spread, skin, surfaceM2);
    const ml = mediumMl(spread, cm2, isOfBody ? 'massage' : 'facial');
    const longest = Math.max(0, ...own.map(({ seconds }) => seconds));
    return ml <= 0 ? null : { ml, cm2, minutes: Math.ceil(longest / 60) };
  };
  return { body: need(body, true), face: need(oiled.filter(isFace), false) };
}
