import type { Celsius, Seconds } from '../quantities';
import type { MaterialId, SizeId, SkinId } from '../stones/book';
import { contactOf } from '../stones/contact';
import { firstTouchOf, type StoneClient } from '../stones/first-touch';
import { restingTime } from '../stones/resting';
import type { Drill, DrillFault, TrainingBooks } from './drill';
import { scoreOf } from './drill';
import { stoneInWords, timeInWords } from './case-words';
import { trainingSays } from './training.says';

interface HeatCase extends StoneClient {
  readonly size: SizeId;
  readonly material: MaterialId;
  readonly thicknessMm: number;
  readonly towelLayers: number;
  readonly skinStartC: Celsius;
  readonly ambientC: Celsius;
}

export type HeatQuestion = HeatCase & { readonly words: string };

export interface HeatAnswer {
  /** The warmest that the stone may be at the first touch. */
  readonly firstC: Celsius;
  /** How long it may then lie still. */
  readonly seconds: Seconds;
}

const sizes = [
  { size: 'placement', thicknessMm: 30 },
  { size: 'large', thicknessMm: 35 },
  { size: 'palm', thicknessMm: 25 },
  { size: 'small', thicknessMm: 18 },
] as const;
const rightBelowC = 1;
const rightShare = 0.2;
const rightSeconds = 30;

/** How warm a stone may be for a client, and how long it may lie. */
export const heatDrill: Drill<HeatCase, HeatQuestion, HeatAnswer> = {
  make: (_books, draw, level) => {
    const client: StoneClient = {
      skin: draw.pick<SkinId>(level === 1 ? ['normal'] : ['normal', 'thin', 'thick']),
      mostC: level >= 3 && draw.isLikely(0.5) ? draw.pick([38, 40, 42]) : null,
      likes: level >= 2 && draw.isLikely(0.3) ? 'cooler' : 'usual',
      lastRemark: level >= 2 && draw.isLikely(0.3) ? draw.pick([1, 2]) : null,
    };
    const towelLayers = level === 4 && draw.isLikely(0.3) ? 0 : draw.pick(level === 1 ? [1] : [1, 2, 3]);
    const stone = {
      ...draw.pick(sizes),
      ...{ material: 'basalt' as const, towelLayers, skinStartC: 33, ambientC: draw.pick([22, 24, 26]) },
    };
    return { ...client, ...stone };
  },
  ask: (_books, of) => ({ ...of, words: stoneInWords(of) }),
  errors: () => [],
  judge: (books, of, answer) => {
    const faults: DrillFault[] = [];
    const best = bestOf(books, of);
    const { firstC, seconds } = best;
    let score = 1;
    if (answer.firstC > firstC + 1e-9) {
      faults.push({ rule: 'first-touch', text: trainingSays.tooHot(answer.firstC, firstC) });
      score -= 0.5;
    } else if (answer.firstC < firstC - rightBelowC) {
      faults.push({ rule: 'first-touch', text: trainingSays.coolerThanNeeded(answer.firstC, firstC) });
      score -= Math.min(0.3, 0.05 * (firstC - answer.firstC));
    }
    if (answer.seconds > seconds + 1e-9) {
      faults.push({
        rule: 'resting',
        text:
          seconds === 0
            ? trainingSays.notStill
            : trainingSays.tooLong(timeInWords(answer.seconds), timeInWords(seconds)),
      });
      score -= 0.4;
    } else if (answer.seconds < seconds - Math.max(rightSeconds, rightShare * seconds)) {
      faults.push({
        rule: 'resting',
        text: trainingSays.shorterThanNeeded(timeInWords(answer.seconds), timeInWords(seconds)),
      });
      score -= 0.2;
    }
    const harm = harmOf(books, of, { answer, best });
    if (harm !== 'none') score -= 1;
    if (harm === 'burn') faults.push({ rule: 'burn', text: trainingSays.thisBurns });
    return { score: scoreOf(score), faults };
  },
  best: bestOf,
  skills: () => ['first-touch', 'lying-still'],
};

interface Given {
  readonly answer: HeatAnswer;
  readonly best: HeatAnswer;
}

/** As warm as this client may have it, and as long as the skin then stays below caution. */
function bestOf({ stones }: TrainingBooks, of: HeatCase): HeatAnswer {
  const { firstC } = firstTouchOf(stones.limits, of, 'still', of.towelLayers);
  return { firstC, seconds: restingTime(stones, { ...of, startC: firstC }).seconds };
}

/** Over what practice allows, or burning by what is calculated: either weighs double. */
function harmOf({ stones }: TrainingBooks, of: HeatCase, given: Given): 'none' | 'over' | 'burn' {
  const { firstC, seconds } = given.answer;
  if (seconds <= 0 || (firstC <= given.best.firstC && seconds <= given.best.seconds)) return 'none';
  const { material, thicknessMm, towelLayers, skin, skinStartC, ambientC } = of;
  const { burnRisk, basalPeakC, omega } = contactOf(stones, {
    ...{ material, thicknessMm, towelLayers, skin, skinStartC, ambientC, seconds, startC: firstC },
    mode: 'still',
  });
  if (burnRisk !== 'stop') return 'none';
  const { basalStopC, omegaStop } = stones.limits;
  return basalPeakC >= basalStopC || omega >= omegaStop ? 'burn' : 'over';
}
