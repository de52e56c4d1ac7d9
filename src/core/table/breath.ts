import type { Beat } from './progress';
import { repetitionMsOf } from './progress';
import type { PacedStep } from './table-step';

/** One slow breath in and out, as clients are led in it (ms). */
const breathMs = 6000;

export interface BreathNow {
  readonly part: 'in' | 'out';
  /** Which breath of the repetition, from 0. */
  readonly index: number;
  /** 0: all out, 1: full. */
  readonly fullness: number;
  /** The hands spring off: in the middle of the breath in that ends a recoil. */
  readonly isRelease: boolean;
}

export const isLedByBreath = (step: PacedStep): boolean =>
  step.kind === 'breathe' || step.told?.count === 'breaths' || step.told?.breath !== undefined;

/**
 * Where the client's breath is, in steps that are led by it. A repetition of several breaths holds them one after the
 * other; a recoil follows the breath out, and is let go in the middle of the last breath in.
 */
export function breathAt(step: PacedStep, beat: Beat): BreathNow | undefined {
  if (!isLedByBreath(step) || beat.repetition === 0 || beat.isOver) return undefined;
  const isRecoil = step.told?.breath === 'recoil';
  const breaths = step.told?.breath === undefined ? 1 : Math.max(1, Math.round(repetitionMsOf(step) / breathMs));
  const index = Math.min(breaths - 1, Math.floor(beat.phase * breaths));
  const phase = beat.phase * breaths - index;
  const swing = 0.5 * Math.cos(2 * Math.PI * phase);
  return {
    part: phase < 0.5 === isRecoil ? 'out' : 'in',
    index,
    fullness: isRecoil ? 0.5 + swing : 0.5 - swing,
    isRelease: isRecoil && index === breaths - 1 && phase >= 0.75,
  };
}
