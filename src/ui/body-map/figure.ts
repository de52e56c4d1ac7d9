import type { FigureView, Side } from '../../core/anatomy/place';
import { type Figure, mirrored } from '../../core/figure/figure';
import backUrl from '../../catalogue/figure/back.json?url';
import faceFrontUrl from '../../catalogue/figure/face-front.json?url';
import faceSideUrl from '../../catalogue/figure/face-side.json?url';
import footUrl from '../../catalogue/figure/foot.json?url';
import frontUrl from '../../catalogue/figure/front.json?url';
import handUrl from '../../catalogue/figure/hand.json?url';

const urls: Readonly<Record<FigureView, string>> = {
  front: frontUrl,
  back: backUrl,
  'face-front': faceFrontUrl,
  'face-side': faceSideUrl,
  hand: handUrl,
  foot: footUrl,
};

/** Where the drawings lie, for a view that must have them all before the network goes. */
export const figureUrls: readonly string[] = Object.values(urls);

const loading = new Map<string, Promise<Figure>>();

/** Loads a drawing once; the right side of a one-sided drawing comes mirrored, ids and coordinates alike. */
export function loadFigure(view: FigureView, side: Side = 'left'): Promise<Figure> {
  const key = `${view} ${side}`;
  let promise = loading.get(key);
  if (!promise) {
    promise = fetch(urls[view])
      .then((response) => {
        if (!response.ok) throw new Error(`the drawing “${view}” answered ${response.status}`);
        return response.json() as Promise<Figure>;
      })
      .then((figure) => (figure.oneSided && side === 'right' ? mirrored(figure) : figure));
    promise.catch(() => loading.delete(key));
    loading.set(key, promise);
  }
  return promise;
}
