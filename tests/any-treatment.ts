import fc from 'fast-check';
import { type Block, blockSides, handStates, positions, tablePlaces } from '../src/core/sequencing/block';
import type { FitStep } from '../src/core/sequencing/time-fit';

/** Blocks and steps for tests, with what is not said filled in, and any number of made-up ones. */

export const block = (id: string, input: Partial<Block> = {}): Block => ({
  id,
  minutes: 5,
  position: 'supine',
  hands: 'dry',
  therapist: 'head',
  side: 'both',
  after: [],
  ...input,
});

/** Precedences that can never go round: only on blocks given earlier. */
export const anyBlocks = (most: number): fc.Arbitrary<readonly Block[]> =>
  fc
    .array(
      fc.record({
        position: fc.constantFrom(...positions.slice(0, 3)),
        hands: fc.constantFrom(...handStates),
        therapist: fc.constantFrom(...tablePlaces),
        side: fc.constantFrom(...blockSides),
        waits: fc.array(fc.nat(most), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) =>
      list.map(({ waits, ...rest }, i) =>
        block(`b${i}`, { ...rest, after: i === 0 ? [] : [...new Set(waits.map((wait) => `b${wait % i}`))] }),
      ),
    );

export const step = (id: string, input: Partial<FitStep> = {}): FitStep => ({
  id,
  secondsPerRepetition: 10,
  overheadSeconds: 8,
  min: 3,
  usual: 5,
  max: 8,
  weight: 1,
  optional: false,
  ...input,
});

export const anySteps = (most: number): fc.Arbitrary<readonly FitStep[]> =>
  fc
    .array(
      fc.record({
        seconds: fc.integer({ min: 1, max: 24 }),
        overhead: fc.integer({ min: 0, max: 12 }),
        range: fc.tuple(fc.integer({ min: 1, max: 3 }), fc.nat(4), fc.nat(4)),
        weight: fc.constantFrom(0.5, 1, 2, 3),
        optional: fc.boolean(),
        stretchable: fc.boolean(),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) =>
      list.map(({ seconds, overhead, range: [min, more, further], ...rest }, i) =>
        step(`s${i}`, {
          ...rest,
          secondsPerRepetition: seconds,
          overheadSeconds: overhead,
          min,
          usual: min + more,
          max: min + more + further,
        }),
      ),
    );
