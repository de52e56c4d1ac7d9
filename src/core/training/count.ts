import type { Seconds } from '../quantities';
import type { Drill, DrillFault } from './drill';
import { scoreOf } from './drill';
import { trainingSays } from './training.says';

interface CountStep {
  readonly place: string;
  /** Strokes until the hand goes on. */
  readonly count: number;
}

/** Something that is said meanwhile, at that stroke of the whole. */
interface Aside {
  readonly atStroke: number;
  readonly words: string;
}

interface CountCase {
  readonly steps: readonly CountStep[];
  readonly asides: readonly Aside[];
  /** Between two strokes: the table’s pace, at double speed. */
  readonly everySeconds: Seconds;
  /** The number is not seen while it runs: only the strokes are. */
  readonly isBlind: boolean;
}

export interface CountQuestion extends CountCase {
  readonly words: string;
}

/** At which stroke of each step the hand went on. */
export interface CountAnswer {
  readonly stops: readonly number[];
}

const places = [
  trainingSays.hollowLeft,
  trainingSays.hollowRight,
  trainingSays.armpitLeft,
  trainingSays.armpitRight,
  trainingSays.groinLeft,
  trainingSays.groinRight,
  trainingSays.underTheJaw,
  trainingSays.beforeTheEar,
];
const asides = [
  trainingSays.isItStillRaining,
  trainingSays.thatTickles,
  trainingSays.mayIHaveWater,
  trainingSays.phoneRings,
  trainingSays.howManyMore,
  trainingSays.doorOpens,
];
const shapeOf = {
  1: { steps: 2, most: 7, asides: 0, isBlind: false },
  2: { steps: 3, most: 10, asides: 0, isBlind: true },
  3: { steps: 3, most: 12, asides: 2, isBlind: true },
  4: { steps: 4, most: 15, asides: 4, isBlind: true },
} as const;
const fewest = 4;
const everySeconds = 0.5;

/** Keeps the count while somebody talks. */
export const countDrill: Drill<CountCase, CountQuestion, CountAnswer> = {
  make: (_books, draw, level) => {
    const shape = shapeOf[level];
    const steps = draw.some(places, shape.steps).map((place) => ({ place, count: draw.whole(fewest, shape.most) }));
    const whole = steps.reduce((sum, { count }) => sum + count, 0);
    return {
      steps,
      asides: draw
        .some(asides, shape.asides)
        .map((words, i) => ({ words, atStroke: 2 + Math.floor(((i + 0.5) * (whole - 2)) / shape.asides) })),
      ...{ everySeconds, isBlind: shape.isBlind },
    };
  },
  ask: (_books, of) => ({ ...of, words: trainingSays.keepTheCount }),
  errors: (_books, { steps }, { stops }) =>
    stops.length === steps.length ? [] : [{ path: 'stops', message: trainingSays.oneStopAStep(steps.length) }],
  judge: (_books, { steps }, { stops }) => {
    let [missed, whole] = [0, 0];
    const faults = steps.flatMap(({ place, count }, i): readonly DrillFault[] => {
      const off = (stops[i] ?? 0) - count;
      missed += Math.abs(off);
      whole += count;
      if (off === 0) return [];
      const text = off > 0 ? trainingSays.tooManyAt(place, off, count) : trainingSays.tooFewAt(place, -off, count);
      return [{ rule: 'count', text }];
    });
    return { score: faults.length === 0 ? 1 : scoreOf(1 - 0.2 * faults.length - missed / whole), faults };
  },
  best: (_books, { steps }) => ({ stops: steps.map(({ count }) => count) }),
  skills: (_books, { asides: said }) => (said.length > 0 ? ['count-in-company'] : ['count-kept']),
};
