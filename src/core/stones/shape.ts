import type { Medium } from './book';

/** A stone's measures: length, width, thickness (mm), and its mass where it was weighed (g). */
export interface StoneSize {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly massG?: number | undefined;
}

/** A stone as an ellipsoid, blown up to what it weighs. */
export interface StoneShape {
  /** Semi-axes (m). */
  readonly halfM: readonly [number, number, number];
  readonly volumeM3: number;
  readonly surfaceM2: number;
  readonly massKg: number;
  /** What faces the skin (m²). */
  readonly areaM2: number;
  readonly meanThicknessM: number;
  /** Volume over surface (m). */
  readonly lengthM: number;
  readonly heatJK: number;
  /** Weighed volume over that of the ellipsoid; far from 1, material or measures are wrong. */
  readonly fullness: number;
}

export const plausibleFullness = { least: 0.7, most: 1.5 } as const;

const mm = 1e-3;

/** Geometry after Thomsen's approximation of the surface. */
export function shapeOf(size: StoneSize, stone: Medium, thomsenExponent: number): StoneShape {
  const [length, width, height] = [size.lengthMm * mm, size.widthMm * mm, size.thicknessMm * mm];
  const [a, b, d] = [length / 2, width / 2, height / 2];
  const ellipsoidM3 = (Math.PI / 6) * length * width * height;
  const p = thomsenExponent;
  const ellipsoidM2 = 4 * Math.PI * (((a * b) ** p + (a * d) ** p + (b * d) ** p) / 3) ** (1 / p);
  const volumeM3 = size.massG === undefined ? ellipsoidM3 : (size.massG * 1e-3) / stone.densityKgM3;
  const fullness = volumeM3 / ellipsoidM3;
  const surfaceM2 = ellipsoidM2 * fullness ** (2 / 3);
  const massKg = stone.densityKgM3 * volumeM3;
  const areaM2 = (Math.PI / 4) * length * width;
  return {
    halfM: [a, b, d],
    volumeM3,
    surfaceM2,
    massKg,
    areaM2,
    meanThicknessM: volumeM3 / areaM2,
    lengthM: volumeM3 / surfaceM2,
    heatJK: massKg * stone.specificHeatJKgK,
    fullness,
  };
}
