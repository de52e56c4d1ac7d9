import { compareTapings, type TapingChange } from '../swelling/compare-tapings';
import type { Draw } from './draw';
import type { Drill } from './drill';
import type { SkillId } from './skills';
import { signed } from './case-words';
import { trainingSays } from './training.says';

export const changeVerdicts = ['changed', 'not-to-be-told', 'slipped'] as const;
export type ChangeVerdict = (typeof changeVerdicts)[number];

interface Run {
  readonly affected: readonly number[];
  readonly reference: readonly number[];
}

interface ChangeCase {
  readonly side: 'left' | 'right';
  readonly positions: readonly number[];
  readonly before: Run;
  readonly after: Run;
  readonly sdCm: number;
  readonly change: TapingChange;
  readonly shiftCm: number | undefined;
  readonly verdict: ChangeVerdict;
}

export interface ChangeQuestion {
  readonly words: string;
  readonly side: 'left' | 'right';
  readonly unit: 'cm';
  readonly positions: readonly number[];
  readonly before: Run;
  readonly after: Run;
  /** Error of one girth (cm). */
  readonly sdCm: number;
}

export interface ChangeAnswer {
  readonly verdict: ChangeVerdict;
}

const sdCm = 0.2;
const longestCm = 40;
/** An arm from the wrist upwards: its forearm, the waist of the elbow, its upper arm. */
const outline: readonly (readonly [number, number])[] = [
  [-8, 19.5],
  [0, 16.5],
  [8, 19.5],
  [16, 25],
  [21, 25.5],
  [25, 24],
  [30, 26],
  [38, 29.5],
  [48, 32],
];

/** Two runs of the tape: has the arm changed, can it not be told, or has the tape slipped along it. */
export const changeDrill: Drill<ChangeCase, ChangeQuestion, ChangeAnswer> = {
  make: (_books, draw, level) => {
    const verdict = draw.pick(level === 1 ? changeVerdicts.slice(0, 2) : changeVerdicts);
    const every = level <= 2 ? 4 : draw.pick([4, 5]);
    const positions = Array.from({ length: longestCm / every + 1 }, (_, i) => i * every);
    const swollen = 1 + draw.whole(4, 14) / 100;
    const share = level === 1 ? draw.whole(5, 8) : draw.whole(3, 6);
    const change = verdict === 'changed' ? (draw.isLikely(0.7) ? -share : share) / 100 : 0;
    const shiftCm =
      verdict === 'slipped' ? (draw.isLikely(0.5) ? 1 : -1) * draw.pick(level <= 3 ? [3, 4] : [2.5, 3]) : 0;
    const run = (scale: number, shift: number): readonly number[] =>
      positions.map((x) => roundTenth(girthAt(x + shift) * scale + sdCm * limited(draw)));
    const before = { affected: run(swollen, 0), reference: run(1, 0) };
    const after = { affected: run(swollen * (1 + change), shiftCm), reference: run(1, 0) };
    return judged({ side: draw.pick(['left', 'right'] as const), positions, before, after }, verdict);
  },
  ask: (_books, { side, positions, before, after }) => ({
    ...{ words: trainingSays.changeCase(side, sdCm), side, unit: 'cm', positions, before, after, sdCm },
  }),
  errors: () => [],
  judge: (_books, of, { verdict }) => {
    if (verdict === of.verdict) return { score: 1, faults: [] };
    const text = whyInWords(of);
    // To tell a change that is none misleads; to keep quiet about one only waits.
    return { score: verdict === 'changed' ? 0 : 0.3, faults: [{ rule: of.verdict, text }] };
  },
  best: (_books, { verdict }) => ({ verdict }),
  skills: (_books, { verdict }) => [skillOfVerdict[verdict]],
};

const skillOfVerdict: Readonly<Record<ChangeVerdict, SkillId>> = {
  changed: 'really-changed',
  'not-to-be-told': 'within-error',
  slipped: 'tape-slipped',
};

function whyInWords({ verdict, shiftCm = 0, change }: ChangeCase): string {
  if (verdict === 'slipped') return shiftCm > 0 ? trainingSays.slippedUp(shiftCm) : trainingSays.slippedDown(-shiftCm);
  const [ml, limit] = [signed(Math.round(change.ml)), Math.round(change.limitMl)];
  return verdict === 'changed' ? trainingSays.hasChanged(ml, limit) : trainingSays.cannotBeTold(ml, limit);
}

const roundTenth = (value: number) => Math.round(value * 10) / 10;
const limited = (draw: Draw) => Math.max(-2, Math.min(2, draw.scatter()));

function girthAt(x: number): number {
  const i = outline.findIndex(([at], k) => k > 0 && x <= at);
  const [[x0, g0], [x1, g1]] = [outline[Math.max(0, i - 1)] ?? [0, 0], outline[Math.max(1, i)] ?? [1, 0]];
  return g0 + ((g1 - g0) * (x - x0)) / (x1 - x0);
}

/** A case only where the engine comes to what was meant, and by a clear margin. */
function judged(
  runs: Pick<ChangeCase, 'side' | 'positions' | 'before' | 'after'>,
  meant: ChangeVerdict,
): ChangeCase | undefined {
  const taping = (run: Run) => ({
    ...{ limb: 'arm' as const, side: runs.side, unit: 'cm' as const, positions: runs.positions, ...run },
  });
  const change = compareTapings(taping(runs.before), taping(runs.after), 0);
  if (!change) return undefined;
  const shiftCm = slippedBy(runs.positions, runs.before.affected, runs.after.affected);
  const verdict: ChangeVerdict = shiftCm !== undefined ? 'slipped' : change.beyond ? 'changed' : 'not-to-be-told';
  const isClear = verdict === 'slipped' || Math.abs(Math.abs(change.ml) - change.limitMl) > 0.15 * change.limitMl;
  return verdict === meant && isClear ? { ...runs, sdCm, change, shiftCm, verdict } : undefined;
}

const mostShiftCm = 5;
const leastShiftCm = 1.5;

/**
 * The mark-shift rule: girths that agree with the earlier ones some centimetres farther up or down, and far better so
 * than as the same limb grown or shrunk, come from a tape that was laid at other marks.
 * @returns by how much (cm), or undefined where it was not
 */
function slippedBy(
  positions: readonly number[],
  before: readonly number[],
  after: readonly number[],
): number | undefined {
  const scale = sum(after.map((cm, i) => cm * (before[i] ?? 0))) / sum(before.map((cm) => cm * cm));
  const asGrown = rms(after.map((cm, i) => cm - scale * (before[i] ?? 0)));
  let best = { cm: 0, off: Infinity };
  for (let cm = -mostShiftCm; cm <= mostShiftCm; cm += 0.5) {
    const offs = positions.flatMap((x, i) => {
      const was = between(positions, before, x + cm);
      return was === undefined ? [] : [(after[i] ?? 0) - was];
    });
    const off = offs.length < positions.length / 2 ? Infinity : rms(offs);
    if (off < best.off) best = { cm, off };
  }
  return Math.abs(best.cm) >= leastShiftCm && best.off < 0.6 * asGrown && asGrown > 2 * sdCm ? best.cm : undefined;
}

const sum = (of: readonly number[]) => of.reduce((total, one) => total + one, 0);
const rms = (of: readonly number[]) => Math.sqrt(sum(of.map((one) => one * one)) / of.length);

/** A run read between its marks. */
function between(positions: readonly number[], girths: readonly number[], x: number): number | undefined {
  const i = positions.findIndex((at, k) => k > 0 && x <= at && x >= (positions[k - 1] ?? 0));
  if (i < 1) return undefined;
  const [x0 = 0, x1 = 1, g0 = 0, g1 = 0] = [positions[i - 1], positions[i], girths[i - 1], girths[i]];
  return g0 + ((g1 - g0) * (x - x0)) / (x1 - x0);
}
