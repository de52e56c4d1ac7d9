import type { RegionGroups } from '../anatomy/place';
import type { Technique } from '../library/technique';

/** What is taken up for a step with a tool, by the zone that it is for. */
export interface ToolChoice {
  readonly tool: string;
  readonly why: string;
  readonly needsSlip: boolean;
}

/** The tool for a step that rolls or scrapes; undefined for any other. @param regions names without side */
export function toolFor(
  groups: RegionGroups,
  { family }: Pick<Technique, 'family'>,
  regions: readonly string[],
): ToolChoice | undefined {
  if (family !== 'roll' && family !== 'scrape') return undefined;
  const isScraping = family === 'scrape';
  if (regions.length > 0 && regions.every((region) => groups['knobbed-tool'].has(region)))
    return {
      tool: isScraping ? 'comb edge' : 'knobbed roller',
      why: 'Thick skin, and scalp: knobs reach through.',
      needsSlip: false,
    };
  if (regions.some((region) => groups['small-tool'].has(region)))
    return {
      tool: isScraping ? 'small rounded edge' : 'small roller',
      why: 'Thin skin and tight curves: by its own weight only.',
      needsSlip: isScraping,
    };
  return {
    tool: isScraping ? 'long curved edge' : 'large roller',
    why: 'Broad and even.',
    needsSlip: isScraping,
  };
}
