import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { bestDrawing, viewsOf } from '../../core/figure/views';
import { type DrawnStep, figureOf, figureSvg } from './figure-svg';

const step = (number: number, place: string, path: readonly string[] = []): DrawnStep => ({
  ...{ number, kind: 'drain', places: [place], path },
});
const box = (svg: string) => /viewBox="([^"]+)"/.exec(svg)?.[1]?.split(' ').map(Number) ?? [];
const numbersAt = (svg: string) =>
  [...svg.matchAll(/translate\((-?[\d.]+) (-?[\d.]+)\) scale[^>]*><path[^>]*\/><text[^>]*>(\d+)</g)].map((m) => ({
    ...{ x: Number(m[1]), y: Number(m[2]), number: Number(m[3]) },
  }));

describe('the figure on paper', () => {
  it('stands by itself: no class, no script, nothing fetched', () => {
    const svg = figureSvg(figureOf('front', 'left'), [step(1, 'calf-upper.left')], 120);
    expect(svg).toMatch(/^<svg xmlns=.*<\/svg>$/);
    expect(svg).not.toMatch(/class=|href|script|style=/);
  });

  it('is zoomed to what is worked, inside the drawing, and never so near that one is lost', () => {
    const figure = figureOf('front', 'left');
    const [, , whole = 0] = figure.viewBox;
    const [x = 0, y = 0, w = 0, h = 0] = box(figureSvg(figure, [step(1, 'axillary.left')], 120));
    expect(w).toBeGreaterThanOrEqual(whole * 0.33);
    expect(w / h).toBeCloseTo(0.82, 2);
    expect([x >= figure.viewBox[0], y >= figure.viewBox[1]]).toEqual([true, true]);
  });

  it('keeps its numbers apart, also where many lie on one place', () => {
    const svg = figureSvg(
      figureOf('front', 'left'),
      Array.from({ length: 5 }, (_, i) => step(i + 1, 'thigh-upper-outer.left')),
      120,
    );
    const points = numbersAt(svg);
    expect(points.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5]);
    for (const [i, a] of points.entries())
      for (const b of points.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(10);
  });

  it('draws the way with a leaf at its end, and mirrors what is drawn for one side only', () => {
    const path = ['thigh-upper-inner.left', 'inguinal.left'];
    expect(figureSvg(figureOf('front', 'left'), [step(1, 'thigh-upper-inner.left', path)], 120)).toContain('rotate(');
    const [left] = numbersAt(figureSvg(figureOf('face-side', 'left'), [step(1, 'cheek.left')], 120));
    const [right] = numbersAt(figureSvg(figureOf('face-side', 'right'), [step(1, 'cheek.right')], 120));
    const [, , width] = figureOf('face-side', 'left').viewBox;
    expect((left?.x ?? 0) + (right?.x ?? 0)).toBeCloseTo(width, 0);
  });

  it('knows a drawing for every place of the body', () => {
    for (const place of [...anatomy.territories.keys(), ...anatomy.basins.keys()]) {
      expect(viewsOf(anatomy, place).length).toBeGreaterThan(0);
      const { view, side } = bestDrawing(anatomy, [place]);
      expect(figureOf(view, side).regions.length).toBeGreaterThan(0);
    }
  });
});
