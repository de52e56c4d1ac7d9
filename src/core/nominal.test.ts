import { describe, expectTypeOf, it } from 'vitest';
import type { ClientId, TechniqueId, VisitId } from './ids';
import type { PlaceId } from './anatomy/place';
import type { Celsius, Drops, Millilitres, Minutes, Percent, Seconds } from './quantities';

describe('ids and quantities that say what they are', () => {
  it('do not stand in for each other', () => {
    expectTypeOf<ClientId>().not.toExtend<VisitId>();
    expectTypeOf<PlaceId>().not.toExtend<TechniqueId>();
    expectTypeOf<Minutes>().not.toExtend<Seconds>();
    expectTypeOf<Drops>().not.toExtend<Millilitres>();
    expectTypeOf<Percent>().not.toExtend<Celsius>();
  });

  it('take literals and plain values, and count like numbers', () => {
    expectTypeOf<12>().toExtend<VisitId>();
    expectTypeOf<number>().toExtend<Celsius>();
    expectTypeOf<Seconds>().toExtend<number>();
  });
});
