import type { Celsius } from '../quantities';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { diffusivityOf } from './book';
import { type Slab, steadyTemperatures, stepperFor } from './conduction';
import { interfaceC } from './contact';
import { halfConductance, skinCells, stoneCells } from './stack';

/** Complementary error function (Numerical Recipes' rational fit, relative error below 1.2e-7). */
function erfc(x: number): number {
  const t = 1 / (1 + 0.5 * Math.abs(x));
  const poly = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587, -0.82215223,
    0.17087277,
  ].reduceRight((sum, c) => sum * t + c, 0);
  const y = t * Math.exp(-x * x + poly);
  return x >= 0 ? y : 2 - y;
}

const steps = [
  [0.1, 0.002],
  [1, 0.02],
  [10, 0.05],
  [60, 0.25],
] as const;

/** Lets time pass as the contact does, and looks after each whole second. */
function run(slab: Slab, outerWM2K: number, outerC: Celsius, t: Float64Array, look: (s: number) => void): void {
  let done = 0;
  for (const [until, step] of steps) {
    const stepper = stepperFor(slab, outerWM2K, { conductanceWM2K: 0, toC: 0 }, step);
    const count = Math.round((until - done) / step);
    for (let i = 1; i <= count; i += 1) {
      stepper.advance(t, outerC);
      const now = done + i * step;
      if (Math.abs(now - Math.round(now)) < 1e-6) look(Math.round(now));
    }
    done = until;
  }
}
const slabOf = (stack: Slab['stack'], resistances = new Map<number, number>()): Slab => ({
  stack,
  resistances,
  bloodJM3K: 0,
  coreC: 37,
});

describe('conduction against closed solutions', () => {
  it('keeps the face of two thick bodies at the temperature of first contact, and follows the error function below', () => {
    const basalt = stoneCells(60, book.materials.basalt);
    const flesh = stoneCells(60, book.tissue.epidermis).toReversed();
    const slab = slabOf([...basalt, ...flesh]);
    const t = new Float64Array(slab.stack.length).fill(50, 0, basalt.length).fill(33, basalt.length);
    const face = interfaceC(book, 'basalt', 50, 33);
    const alpha = diffusivityOf(book.tissue.epidermis);
    const [outer, inner] = [basalt.at(-1), flesh[0]].map((cell) => (cell ? halfConductance(cell) : 0)) as [
      number,
      number,
    ];
    run(slab, 0, 0, t, (s) => {
      const here = (outer * (t[basalt.length - 1] ?? 0) + inner * (t[basalt.length] ?? 0)) / (outer + inner);
      expect(Math.abs(here - face), `face at ${s} s`).toBeLessThan(0.05);
      let depth = 0;
      for (const [i, cell] of flesh.entries()) {
        const x = depth + cell.thicknessM / 2;
        depth += cell.thicknessM;
        if (x > 0.006) break;
        const expected = 33 + (face - 33) * erfc(x / (2 * Math.sqrt(alpha * s)));
        expect(Math.abs((t[basalt.length + i] ?? 0) - expected), `${x * 1000} mm at ${s} s`).toBeLessThan(0.05);
      }
    });
  });

  it('warms a thick body behind a film as the closed solution does', () => {
    const flesh = stoneCells(60, book.tissue.dermis).toReversed();
    const slab = slabOf(flesh);
    const t = new Float64Array(flesh.length).fill(33);
    const film = 0.002;
    const { conductivityWMK: k } = book.tissue.dermis;
    const alpha = diffusivityOf(book.tissue.dermis);
    const half = flesh[0] ? halfConductance(flesh[0]) : 0;
    run(slab, 1 / film, 50, t, (s) => {
      const z = Math.sqrt(alpha * s) / (k * film);
      const expected = 50 + (33 - 50) * Math.exp(z * z) * erfc(z);
      const q = (50 - (t[0] ?? 0)) / (film + 1 / half);
      expect(Math.abs((t[0] ?? 0) + q / half - expected), `${s} s`).toBeLessThan(0.05);
    });
  });

  it('loses no heat: what is in the cells is what came in', () => {
    const slab = slabOf(skinCells(book, 'normal'));
    const t = new Float64Array(slab.stack.length).fill(33);
    const heat = () =>
      slab.stack.reduce(
        (sum, cell, i) => sum + cell.densityKgM3 * cell.specificHeatJKgK * cell.thicknessM * (t[i] ?? 0),
        0,
      );
    const before = heat();
    const first = slab.stack[0];
    const through = first ? 1 / (1 / 200 + 1 / halfConductance(first)) : 0;
    const stepper = stepperFor(slab, 200, { conductanceWM2K: 0, toC: 0 }, 0.1);
    let came = 0;
    for (let i = 0; i < 600; i += 1) {
      stepper.advance(t, 45);
      came += through * (45 - (t[0] ?? 0)) * 0.1;
    }
    expect(Math.abs(heat() - before - came) / came).toBeLessThan(1e-9);
  });

  it('stays where it has come to rest', () => {
    const slab = { ...slabOf(skinCells(book, 'thick')), bloodJM3K: book.physics.bloodJM3K };
    const inner = { conductanceWM2K: Infinity, toC: 37 };
    const t = steadyTemperatures(slab, Infinity, 33, inner);
    const before = Array.from(t);
    const stepper = stepperFor(slab, Infinity, inner, 0.25);
    for (let i = 0; i < 400; i += 1) stepper.advance(t, 33);
    expect(Math.max(...before.map((one, i) => Math.abs(one - (t[i] ?? 0))))).toBeLessThan(1e-6);
    expect(before.every((one, i) => i === 0 || one >= (before[i - 1] ?? 0) - 1e-9)).toBe(true);
  });
});
