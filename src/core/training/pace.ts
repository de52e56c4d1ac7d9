import type { Seconds } from '../quantities';
import type { Drill, DrillFault } from './drill';
import { scoreOf } from './drill';
import { trainingSays } from './training.says';

interface Work {
  readonly id: 'skin' | 'nodes' | 'face' | 'oil' | 'stone';
  /** Seconds from one stroke to the next. */
  readonly low: Seconds;
  readonly high: Seconds;
}

/** How fast hands go: skin strokes about one a second, oil and stone slower, a held node place slower still. */
const works: readonly Work[] = [
  { id: 'skin', low: 0.8, high: 1.3 },
  { id: 'nodes', low: 1.5, high: 3 },
  { id: 'face', low: 0.9, high: 1.5 },
  { id: 'oil', low: 3, high: 5 },
  { id: 'stone', low: 4, high: 7 },
];

const workWords: Readonly<Record<Work['id'], string>> = {
  skin: trainingSays.skinStrokes,
  nodes: trainingSays.halfCircles,
  face: trainingSays.faceStrokes,
  oil: trainingSays.oilStrokes,
  stone: trainingSays.stoneGlides,
};

interface PaceCase extends Work {
  readonly seconds: Seconds;
  /** So long the beat is heard, then it is left to the hands. */
  readonly heardSeconds: Seconds;
}

export interface PaceQuestion extends PaceCase {
  readonly words: string;
}

/** Milliseconds at which the hand, the foot or the finger came down, from any beginning. */
export interface PaceAnswer {
  readonly taps: readonly number[];
}

/** A tap so soon after another one is a foot that trembles. */
const trembleMs = 150;
const leastShare = 0.75;
const heard = { 1: 20, 2: 10, 3: 5, 4: 0 } as const;

/** A minute of strokes at their pace. */
export const paceDrill: Drill<PaceCase, PaceQuestion, PaceAnswer> = {
  make: (_books, draw, level) => ({
    ...draw.pick(level === 1 ? works.slice(0, 1) : works),
    ...{ seconds: 60, heardSeconds: heard[level] },
  }),
  ask: (_books, of) => ({ ...of, words: trainingSays.keepPace(workWords[of.id]) }),
  errors: (_books, _of, { taps }) =>
    taps.flatMap((ms, i) =>
      i > 0 && ms < (taps[i - 1] as number) ? [{ path: `taps.${i}`, message: trainingSays.tapsInOrder }] : [],
    ),
  judge: (_books, of, { taps }) => {
    const read = readPace(taps);
    if (!read || read.spanMs < leastShare * of.seconds * 1000)
      return { score: 0, faults: [{ rule: 'whole-minute', text: trainingSays.minuteLost }] };
    const { meanS, spread, drift } = read;
    const faults: DrillFault[] = [];
    let score = 1;
    const lose = (rule: string, text: string, share: number) => {
      faults.push({ rule, text });
      score *= Math.max(0, 1 - share);
    };
    const off = Math.max(of.low - meanS, meanS - of.high);
    if (off > 1e-9) lose('pace', trainingSays.meanOf(meanS.toFixed(1), of.low, of.high), (2 * off) / of.low);
    if (spread > steadyShare) lose('even', trainingSays.uneven(Math.round(100 * spread)), (spread - steadyShare) / 0.4);
    if (Math.abs(drift) > steadyShare)
      lose('drift', driftInWords(Math.round(100 * drift)), (Math.abs(drift) - steadyShare) / 0.5);
    return { score: scoreOf(faults.length === 0 ? 1 : score), faults };
  },
  best: (_books, { low, high, seconds }) => {
    const everyMs = Math.round(500 * (low + high));
    return { taps: Array.from({ length: Math.floor((seconds * 1000) / everyMs) + 1 }, (_, i) => i * everyMs) };
  },
  skills: (_books, { id }) => [`pace-${id}`, 'even-hand'],
};

/** What hands keep to without thinking about it. */
const steadyShare = 0.12;

const driftInWords = (percent: number) => (percent > 0 ? trainingSays.slower(percent) : trainingSays.faster(-percent));

export interface Pace {
  readonly meanS: Seconds;
  /** Coefficient of variation of the intervals, 0 for a clock. */
  readonly spread: number;
  /** By how much slower the last third is than the first: 0.1 for a tenth. */
  readonly drift: number;
  readonly spanMs: number;
}

/** Mean, spread and drift of taps; trembling counts once. @returns undefined for fewer than four intervals */
export function readPace(taps: readonly number[]): Pace | undefined {
  const kept = taps.reduce<readonly number[]>(
    (sound, ms) => (sound.length > 0 && ms - (sound.at(-1) as number) < trembleMs ? sound : [...sound, ms]),
    [],
  );
  const gaps = kept.slice(1).map((ms, i) => (ms - (kept[i] as number)) / 1000);
  if (gaps.length < 4) return undefined;
  const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;
  const meanS = mean(gaps);
  const third = Math.max(1, Math.floor(gaps.length / 3));
  return {
    meanS,
    spread: Math.sqrt(mean(gaps.map((gap) => (gap - meanS) ** 2))) / meanS,
    drift: mean(gaps.slice(-third)) / mean(gaps.slice(0, third)) - 1,
    spanMs: (kept.at(-1) as number) - (kept[0] as number),
  };
}
