import type { Anatomy } from '../anatomy/place';
import { facialModalities, type Library } from '../library/protocol';
import type { Choice } from '../treatment/expand';

/**
 * What the oil of a visit touches, from the parts that were chosen. What is mixed for the body comes to the face where a
 * part of the body's own work goes on there with what is left on the hands.
 */
export function oilTouches(
  anatomy: Anatomy,
  library: Library,
  choices: readonly Pick<Choice, 'protocol' | 'blocks'>[],
): { readonly regions: ReadonlySet<string>; readonly bodyTouchesFace: boolean } {
  const regions = new Set<string>();
  let bodyTouchesFace = false;
  for (const choice of choices) {
    const protocol = library.protocols.get(choice.protocol);
    for (const block of protocol?.blocks ?? []) {
      if (block.hands !== 'oiled' && block.hands !== 'stone') continue;
      if (choice.blocks && !choice.blocks.includes(block.id)) continue;
      const own = block.steps.flatMap((step) => step.regions);
      for (const region of own) regions.add(region);
      const isOfFace = facialModalities.has(protocol?.modality ?? '');
      if (!isOfFace && own.some((region) => anatomy.groups.face.has(region))) bodyTouchesFace = true;
    }
  }
  return { regions, bodyTouchesFace };
}
