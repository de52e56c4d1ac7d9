import type { Celsius } from '../quantities';
import { stonesSays } from './stones.says';
/** What a thermometer in the bath said, as it came. */
export interface RawReading {
  readonly text: string;
  /** When it came (ms). */
  readonly atMs: number;
}

export type BathState = 'ready' | 'warming' | 'cooling' | 'off' | 'too-hot' | 'drifting' | 'unreadable' | 'silent';

export interface BathReading {
  readonly state: BathState;
  /** Null while nothing sensible was said. */
  readonly bathC: Celsius | null;
  /** K a minute over the last minutes; null with too few readings. */
  readonly perMinuteC: number | null;
  readonly words: string;
}

const silentMs = 15_000;
const leastC = -5;
const mostC = 100;
const lookBackMs = 180_000;

/** A number as thermometers write it: with point or comma, perhaps with its unit. */
export function readThermometer(text: string): number | undefined {
  const match = /^\s*(-?\d{1,3}(?:[.,]\d{1,2})?)\s*(?:°?\s*C)?\s*$/i.exec(text);
  if (!match?.[1]) return undefined;
  const value = Number(match[1].replace(',', '.'));
  return value >= leastC && value <= mostC ? value : undefined;
}

/**
 * What is to be made of a stream of readings.
 * @param readings the oldest first
 * @param capC nothing warmer may come to a client
 */
export function judgeBath(
  readings: readonly RawReading[],
  nowMs: number,
  setC: Celsius,
  toleranceC: Celsius,
  capC: Celsius,
): BathReading {
  const last = readings.at(-1);
  if (!last || nowMs - last.atMs > silentMs)
    return {
      state: 'silent',
      bathC: null,
      perMinuteC: null,
      words: stonesSays.theThermometerGivesNoReadingMeasure,
    };
  const read = readings.flatMap(({ text, atMs }) => {
    const bathC = readThermometer(text);
    return bathC === undefined ? [] : [{ bathC, atMs }];
  });
  const now = read.at(-1);
  if (!now || now.atMs !== last.atMs)
    return {
      state: 'unreadable',
      bathC: null,
      perMinuteC: null,
      words: stonesSays.theThermometerReadsWhichIsNo(last.text.slice(0, 20)),
    };
  const perMinuteC = slopeOf(read.filter(({ atMs }) => now.atMs - atMs <= lookBackMs));
  const common = { bathC: now.bathC, perMinuteC };
  const off = now.bathC - setC;
  if (now.bathC > capC) return { ...common, state: 'too-hot', words: stonesSays.aboveTakeNoStoneFromThis(capC) };
  if (Math.abs(off) <= toleranceC) return { ...common, state: 'ready', words: 'Ready.' };
  if (perMinuteC !== null && off * perMinuteC > 0 && Math.abs(perMinuteC) > 0.05)
    return {
      ...common,
      state: 'drifting',
      words: stonesSays.itIsDriftingFromCheckThe(setC),
    };
  if (perMinuteC !== null && Math.abs(perMinuteC) < 0.02 && Math.abs(off) > 3 * toleranceC)
    return {
      ...common,
      state: 'off',
      words:
        off < 0
          ? stonesSays.itStandsStillBelowIsIt((-off).toFixed(1), setC)
          : stonesSays.itStandsAboveSetItLower(off.toFixed(1), setC),
    };
  return {
    ...common,
    state: off < 0 ? 'warming' : 'cooling',
    words: off < 0 ? stonesSays.stillWarming : stonesSays.stillCooling,
  };
}

/** Least-squares slope in K a minute. */
function slopeOf(readings: readonly { readonly bathC: Celsius; readonly atMs: number }[]): number | null {
  const first = readings[0];
  if (!first || readings.length < 3) return null;
  const xs = readings.map(({ atMs }) => (atMs - first.atMs) / 60_000);
  const [meanX, meanY] = [mean(xs), mean(readings.map(({ bathC }) => bathC))];
  const spread = xs.reduce((sum, x) => sum + (x - meanX) ** 2, 0);
  if (spread === 0) return null;
  return xs.reduce((sum, x, i) => sum + (x - meanX) * ((readings[i]?.bathC ?? 0) - meanY), 0) / spread;
}

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
