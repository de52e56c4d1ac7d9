import type { Celsius } from '../quantities';
import { dipC, readySeconds, recoverSeconds } from './bath';
import type { MaterialId, StoneBook } from './book';
import { type Glide, type GlideCase, glideOf } from './glide';
import { shapeOf, type StoneSize } from './shape';

/** A set of like stones that goes into a bath together. */
export interface BathCase extends StoneSize {
  readonly material: MaterialId;
  readonly startC: Celsius;
  readonly bathC: Celsius;
  readonly toleranceC: Celsius;
  readonly waterLitres: number;
  readonly count: number;
  readonly heaterW: number;
}

export interface BathResult {
  /** Of one stone. */
  readonly massG: number;
  readonly readyS: number;
  readonly bathDipC: Celsius;
  readonly recoverS: number | null;
}

/** When a set is ready, how far the bath sinks and how long it needs to recover. */
export function bathOf(book: StoneBook, input: BathCase): BathResult {
  const stone = book.materials[input.material];
  const shape = shapeOf(input, stone, book.physics.thomsenExponent);
  return {
    massG: shape.massKg * 1000,
    readyS: readySeconds(shape, stone, book.physics, input),
    bathDipC: dipC(shape.heatJK, book.physics, input),
    recoverS: recoverSeconds(shape.heatJK, book.physics, input),
  };
}

/** How long a stone glides. */
export function glideOfStone(book: StoneBook, input: StoneSize & GlideCase & { readonly material: MaterialId }): Glide {
  const stone = book.materials[input.material];
  return glideOf(shapeOf(input, stone, book.physics.thomsenExponent), stone, book.physics, input);
}
