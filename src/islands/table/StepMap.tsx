import { tableWords } from './table.words';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitAtWork } from '../../contracts/visit-views';
import type { FaceLine } from '../../core/facial/line';
import type { TableStep, ToldStep } from '../../core/table/table-step';
import { BodyMap } from '../../ui/body-map/BodyMap';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { MapLines } from '../../ui/body-map/MapLines';
import { bestDrawing } from '../../ui/body-map/views';
import { marksOf } from '../body-marks';

interface Props {
  readonly visit: VisitAtWork;
  readonly step: TableStep;
  /** The client's lines, for steps that run across them. */
  readonly lines?: readonly FaceLine[] | undefined;
}

/** Where on the body and which way; what may not be touched stays marked. */
export function StepMap({ visit, step, lines = [] }: Props) {
  if (step.told) return <ToldMap visit={visit} told={step.told} lines={lines} />;
  const marks = marksOf(visit.findings);
  const places = [step.place, ...step.via, ...(step.toward ? [step.toward] : [])];
  const drawing =
    step.kind === 'breathe'
      ? { view: 'front' as const, side: 'left' as const }
      : bestDrawing(anatomy.territories.has(step.place) ? [step.place] : places);
  const zoomTo = step.kind === 'breathe' ? ['abdomen-upper.left', 'abdomen-lower.right'] : places;
  const regions = new Map<string, RegionMark>(marks.regions);
  for (const id of step.via) if (!regions.has(id)) regions.set(id, { tone: 'open', words: tableWords.onTheWay });
  if (step.toward && anatomy.territories.has(step.toward) && !regions.has(step.toward))
    regions.set(step.toward, { tone: 'open', words: tableWords.whereItGoes });
  if (step.kind === 'breathe')
    for (const name of ['abdomen-upper', 'abdomen-lower'])
      for (const side of ['left', 'right'])
        regions.set(`${name}.${side}`, { tone: 'active', words: tableWords.breatheHere });
  else if (anatomy.territories.has(step.place)) regions.set(step.place, { tone: 'active', words: tableWords.here });
  const nodes = new Map(marks.nodes);
  if (step.toward && anatomy.basins.has(step.toward)) nodes.set(step.toward, 'open');
  if (anatomy.basins.has(step.place) && step.kind !== 'breathe') nodes.set(step.place, 'to clear');
  return (
    <BodyMap
      view={drawing.view}
      side={drawing.side}
      label={tableWords.whereTheHandsAre}
      regions={regions}
      nodes={nodes}
      signs={marks.signs}
      zoomTo={zoomTo}
      selected={anatomy.basins.has(step.place) ? step.place : undefined}
      routes={step.toward ? [{ key: step.id, path: places, tone: 'moss', isActive: true }] : []}
    />
  );
}

/** Where a step of the library is worked; both sides where it takes both. */
function ToldMap({
  visit,
  told: { places, lines: worked = [] },
  lines,
}: {
  readonly visit: VisitAtWork;
  readonly told: ToldStep;
  readonly lines: readonly FaceLine[];
}) {
  const marks = marksOf(visit.findings);
  const own = lines.filter(({ id }) => worked.includes(id));
  const [line] = own;
  const drawing = line ? { view: line.drawing, side: line.profile } : bestDrawing(places);
  const regions = new Map<string, RegionMark>(marks.regions);
  for (const place of places)
    if (anatomy.territories.has(place)) regions.set(place, { tone: 'active', words: tableWords.here });
  const nodes = new Map(marks.nodes);
  for (const place of places) if (anatomy.basins.has(place)) nodes.set(place, 'to clear');
  return (
    <BodyMap
      view={drawing.view}
      side={drawing.side}
      label={tableWords.whereTheHandsAre}
      regions={regions}
      nodes={nodes}
      signs={marks.signs}
      zoomTo={places}
    >
      {(figure) => <MapLines figure={figure} lines={own} worked={new Set(worked)} />}
    </BodyMap>
  );
}
