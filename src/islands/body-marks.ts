import type { PlacedFinding } from '../contracts/people-views';
import { anatomy } from '../catalogue/anatomy';
import type { PlaceId } from '../core/anatomy/place';
import { findHindrances } from '../core/drainage/hindrance';
import type { RegionMark, SignMark } from '../ui/body-map/map-marks';
import type { NodeState } from '../ui/body-map/MapNode';
import type { SignKind } from '../ui/body-map/MapSign';

/** Findings as they look on the body map, the same in every view. */
export interface FindingMarks {
  readonly regions: ReadonlyMap<PlaceId, RegionMark>;
  readonly nodes: ReadonlyMap<PlaceId, NodeState>;
  readonly signs: readonly SignMark[];
}

const signOf: Readonly<Record<string, SignKind>> = {
  port: 'port',
  'open-wound': 'wound',
  thickened: 'thickened',
  irradiated: 'irradiated',
};

type Marked = Pick<PlacedFinding, 'key' | 'label' | 'regions' | 'drainage'>;

export function marksOf(findings: readonly Marked[]): FindingMarks {
  const hindrances = findHindrances(
    anatomy,
    findings.flatMap((finding) => finding.drainage ?? []),
  );
  const regions = new Map<PlaceId, RegionMark>();
  for (const finding of findings) {
    if (finding.drainage) continue;
    for (const id of finding.regions ?? [])
      if (anatomy.territories.has(id)) regions.set(id, { tone: 'tender', words: finding.label.toLowerCase() });
  }
  for (const id of hindrances.thickened) regions.set(id, { tone: 'prepare', words: 'thickened' });
  for (const id of hindrances.irradiated)
    if (anatomy.territories.has(id)) regions.set(id, { tone: 'tender', words: 'irradiated' });
  for (const id of hindrances.ports)
    if (anatomy.territories.has(id)) regions.set(id, { tone: 'tender', words: 'port' });
  for (const id of hindrances.closed) regions.set(id, { tone: 'closed', words: 'open skin, keep off' });
  const nodes = new Map<PlaceId, NodeState>();
  for (const id of hindrances.blocked.keys()) nodes.set(id, 'closed');
  const signs: SignMark[] = [];
  for (const { key, drainage } of findings) {
    if (!drainage) continue;
    const kind = signOf[drainage.id];
    if (kind)
      for (const place of drainage.regions ?? [])
        if (anatomy.territories.has(place)) signs.push({ key: `${key} ${place}`, kind, place });
    for (const [place = '', other = ''] of drainage.crosses ?? [])
      signs.push({ key: `${key} ${place} ${other}`, kind: 'scar', place, other });
  }
  return { regions, nodes, signs };
}
