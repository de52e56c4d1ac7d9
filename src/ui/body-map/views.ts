import { anatomy } from '../../catalogue/anatomy';
import type { FigureView, PlaceId } from '../../core/anatomy/place';
import * as core from '../../core/figure/views';

export type { DrawingChoice } from '../../core/figure/views';

/** Which drawings show a place, best first. */
export const viewsOf = (place: PlaceId): readonly FigureView[] => core.viewsOf(anatomy, place);

/** The drawing to open on for some places: the one that shows most of them, the front of the body among equals. */
export const bestDrawing = (places: readonly PlaceId[]): core.DrawingChoice => core.bestDrawing(anatomy, places);
