import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import type { FigureView } from '../../core/anatomy/place';
import { type Figure, pointOf } from '../../core/figure/figure';
import { loadFigure } from './figure';
import { bestDrawing, viewsOf } from './views';

const views: readonly FigureView[] = ['front', 'back', 'face-front', 'face-side', 'hand', 'foot'];
const read = (view: string) => readFileSync(new URL(`../../catalogue/figure/${view}.json`, import.meta.url), 'utf8');
const figureOf = (view: string) => JSON.parse(read(view)) as Figure;

describe('the drawings that ship', () => {
  it.each(views)('draw only places of the body, each with an anchor inside its box: %s', (view) => {
    const figure = figureOf(view);
    for (const region of figure.regions) {
      expect(anatomy.territories.has(region.id), region.id).toBe(true);
      const [x, y, width, height] = region.box;
      expect(region.anchor[0]).toBeGreaterThanOrEqual(x - 1);
      expect(region.anchor[0]).toBeLessThanOrEqual(x + width + 1);
      expect(region.anchor[1]).toBeGreaterThanOrEqual(y - 1);
      expect(region.anchor[1]).toBeLessThanOrEqual(y + height + 1);
    }
    for (const node of figure.nodes) expect(anatomy.basins.has(node.id), node.id).toBe(true);
  });

  it('show every territory where the anatomy says that it is seen', () => {
    for (const territory of anatomy.territories.values()) {
      for (const view of territory.views) {
        const figure = figureOf(view);
        const shown = figure.oneSided ? territory.id.replace('.right', '.left') : territory.id;
        expect(
          figure.regions.some((region) => region.id === shown),
          `${territory.id} in ${view}`,
        ).toBe(true);
      }
    }
  });

  it('have arrows only along ways that exist', () => {
    const edges = new Set(anatomy.edges.map((edge) => `${edge.from}>${edge.to}`));
    for (const view of views)
      for (const key of Object.keys(figureOf(view).arrows)) expect(edges.has(key), key).toBe(true);
  });
});

describe('loading a drawing', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('mirrors the right side of a one-sided drawing as data, so that text is never mirrored', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(read('foot'))));
    const [left, right] = [await loadFigure('foot', 'left'), await loadFigure('foot', 'right')];
    const [a, b] = [pointOf(left, 'heel.left'), pointOf(right, 'heel.right')];
    expect(b?.[0]).toBeCloseTo(left.viewBox[2] - (a?.[0] ?? 0), 6);
    expect(b?.[1]).toBe(a?.[1]);
    expect(right.regions.every((region) => region.id.endsWith('.right') && region.label.startsWith('right'))).toBe(
      true,
    );
    expect(Object.keys(right.arrows).every((key) => !key.includes('.left'))).toBe(true);
  });

  it('tries again after a failure', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('no', { status: 500 })));
    await expect(loadFigure('hand', 'left')).rejects.toThrow('500');
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(read('hand'))));
    await expect(loadFigure('hand', 'left')).resolves.toMatchObject({ view: 'hand' });
  });
});

describe('choosing a drawing', () => {
  it('opens on the one that shows most of the places, with their side', () => {
    expect(bestDrawing(['thigh-upper-outer.left', 'shin-upper.left'])).toEqual({ view: 'front', side: 'left' });
    expect(bestDrawing(['chin.left', 'cheek.right', 'nose.left']).view).toBe('face-front');
    expect(bestDrawing(['back-upper.right'])).toEqual({ view: 'back', side: 'right' });
    expect(bestDrawing([])).toEqual({ view: 'front', side: 'left' });
  });

  it('knows where node groups are seen', () => {
    expect(viewsOf('popliteal.left')).toEqual(['back']);
    expect(viewsOf('preauricular.right')).toContain('face-side');
    expect(viewsOf('axillary.left')).toContain('front');
  });
});
