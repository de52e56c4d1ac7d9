import { type Anatomy, type FigureView, type PlaceId, sideOf } from '../anatomy/place';

/** A drawing that can be turned to. */
export interface DrawingChoice {
  readonly view: FigureView;
  readonly side: 'left' | 'right';
}

/** Which drawings show a place, best first. */
export function viewsOf(anatomy: Anatomy, place: PlaceId): readonly FigureView[] {
  const territory = anatomy.territories.get(place);
  if (territory) return territory.views;
  const name = place.slice(0, place.lastIndexOf('.'));
  if (['occipital', 'popliteal'].includes(name)) return ['back'];
  if (['preauricular', 'retroauricular', 'submandibular', 'submental'].includes(name))
    return ['face-front', 'face-side'];
  return ['front', 'face-front'];
}

/** The drawing to open on for some places: the one that shows most of them, the front of the body among equals. */
export function bestDrawing(anatomy: Anatomy, places: readonly PlaceId[]): DrawingChoice {
  const counts = new Map<FigureView, number>();
  for (const place of places)
    viewsOf(anatomy, place).forEach((view, i) => counts.set(view, (counts.get(view) ?? 0) + 1 - i * 0.2));
  const [best] = [...counts].sort((a, b) => b[1] - a[1]);
  const view = best?.[0] ?? 'front';
  const right = places.filter((place) => sideOf(place) === 'right').length;
  return { view, side: right > places.length / 2 ? 'right' : 'left' };
}
