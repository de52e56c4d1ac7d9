import type { Technique } from '../../core/library/technique';
import { sizeIds } from '../../core/stones/book';
import { typedNumber } from '../forms/numbers';

/** A technique as it is typed: numbers and lists as text, until it is sent. */
export type TypedTechnique = ReturnType<typeof typedOf>;

/** @returns what stands in the fields of a technique's form */
export function typedOf(technique: Technique) {
  const { repetitions, stones } = technique;
  return {
    ...technique,
    judgedAs: [...technique.judgedAs],
    traits: [...technique.traits],
    cues: technique.cues.join('\n'),
    words: technique.words.join(', '),
    secondsPerRepetition: String(technique.secondsPerRepetition),
    placements: String(technique.placements),
    repetitions: { min: String(repetitions.min), usual: String(repetitions.usual), max: String(repetitions.max) },
    stones: { size: (stones?.size ?? '') as string, count: String(stones?.count ?? 1), keep: stones?.keep ?? false },
  };
}

const number = (text: string) => typedNumber(text) ?? 0;

/**
 * The technique that was typed. What is no number is sent as none, and refused at its field.
 * @param first the technique before, with what the form does not show
 */
export function techniqueOf(first: Technique, typed: TypedTechnique): Technique {
  const { stones: _, ...rest } = first;
  const size = sizeIds.find((id) => id === typed.stones.size);
  return {
    ...rest,
    ...typed,
    cues: typed.cues.split('\n'),
    words: typed.words.split(',').map((word) => word.trimStart()),
    secondsPerRepetition: number(typed.secondsPerRepetition),
    placements: number(typed.placements),
    repetitions: {
      min: number(typed.repetitions.min),
      usual: number(typed.repetitions.usual),
      max: number(typed.repetitions.max),
    },
    stones: size ? { size, count: number(typed.stones.count), keep: typed.stones.keep } : undefined,
  };
}
