import { anatomy } from '../../catalogue/anatomy';
import type { HomeStep } from '../../core/homecare/sheet';
import { BodyMap } from '../../ui/body-map/BodyMap';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { bestDrawing } from '../../ui/body-map/views';

/** Where the hand lies, and which way it goes. */
export function HomeMap({ step, label }: { readonly step: HomeStep; readonly label: string }) {
  const isBreath = step.kind === 'breathe';
  const places = isBreath ? ['abdomen-upper.left', 'abdomen-upper.right'] : step.places;
  const path = step.toward === null ? [] : [step.places[0] ?? '', ...step.via, step.toward];
  const drawing = bestDrawing(places);
  const regions = new Map<string, RegionMark>(
    places.filter((id) => anatomy.territories.has(id)).map((id) => [id, { tone: 'active', words: label }]),
  );
  const nodes = new Map(places.filter((id) => anatomy.basins.has(id)).map((id) => [id, 'to clear' as const]));
  return (
    <BodyMap
      view={drawing.view}
      side={drawing.side}
      label={label}
      regions={regions}
      nodes={nodes}
      signs={[]}
      zoomTo={[...places, ...path]}
      routes={path.length > 1 ? [{ key: step.id, path, tone: 'moss', isActive: true }] : []}
    />
  );
}
