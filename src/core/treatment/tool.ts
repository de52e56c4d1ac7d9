import type { RegionGroups } from '../anatomy/place';
import type { Technique } from '../library/technique';
import { treatmentSays } from './treatment.says';

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
      tool: isScraping ? treatmentSays.combEdge : treatmentSays.knobbedRoller,
      why: treatmentSays.thickSkinAndScalpKnobsReach,
      needsSlip: false,
    };
  if (regions.some((region) => groups['small-tool'].has(region)))
    return {
      tool: isScraping ? treatmentSays.smallRoundedEdge : treatmentSays.smallRoller,
      why: treatmentSays.thinSkinAndTightCurvesBy,
      needsSlip: isScraping,
    };
  return {
    tool: isScraping ? treatmentSays.longCurvedEdge : treatmentSays.largeRoller,
    why: treatmentSays.broadAndEven,
    needsSlip: isScraping,
  };
}
