import type { Minutes } from '../quantities';
import { nameOf, type PlaceId } from '../anatomy/place';
import type { DrainagePlan } from '../drainage/plan';
import type { Technique } from '../library/technique';
import type { TreatmentBlock, TreatmentStep } from './block';
import { treatmentSays } from './treatment.says';

const secondsPerMinute = 60;
const courseId = 'drainage-course';

/** The planner's course as one step whose repetitions are minutes: how many it takes is found with everything else. */
export const isDrainageCourse = ({ technique }: Pick<TreatmentStep, 'technique'>) => technique.id === courseId;

/** Minutes of a course at its usual repetitions, and the fewest that it can be given in. */
export interface CourseMinutes {
  readonly usual: number;
  readonly least: number;
}

/** Searches for the fewest whole minutes in which the whole course fits. @param planFor plans the same case in so many minutes */
export function drainageMinutes(full: DrainagePlan, planFor: (minutes: Minutes) => DrainagePlan): CourseMinutes {
  const usual = Math.max(1, Math.ceil(full.totalSeconds / secondsPerMinute));
  let [fits, tooShort] = [usual, 0];
  while (fits - tooShort > 1) {
    const middle = Math.floor((fits + tooShort) / 2);
    const { steps } = planFor(middle);
    if (steps.length >= full.steps.length) fits = middle;
    else tooShort = middle;
  }
  return { usual, least: fits };
}

/** Drainage as a block among others: dry hands, on the back, everything that it touches. */
export function drainageBlock(
  choice: string,
  protocol: string,
  plan: DrainagePlan,
  { usual, least }: CourseMinutes,
): TreatmentBlock {
  const places: readonly PlaceId[] = [...new Set(plan.steps.map(({ place }) => place))];
  const technique: Technique = {
    id: courseId,
    name: treatmentSays.drainageAsPlannedFromTheCase,
    family: 'lymph-stretch',
    hands: 'dry',
    pressure: 'feather',
    secondsPerRepetition: secondsPerMinute,
    repetitions: { min: least, usual, max: usual },
    placements: 1,
    isPerRegion: false,
    direction: 'towards-node',
    therapist: 'side',
    traits: ['soothing'],
    judgedAs: ['lymph-drainage'],
    cues: [treatmentSays.flatFingersSkinOnly],
    why: '',
    never: '',
    feel: '',
    words: [],
  };
  return {
    id: `${choice}/drainage`,
    choice,
    protocol,
    name: 'drainage',
    modality: 'lymph-drainage',
    school: 'planner',
    position: 'supine',
    hands: 'dry',
    therapist: 'head',
    side: 'both',
    isShortForm: false,
    isOptional: false,
    isOrdered: true,
    after: [],
    steps: [
      {
        id: `${choice}/drainage/1`,
        technique,
        regions: [...new Set(places.map(nameOf))],
        side: 'both',
        places,
        repetitions: Math.max(1, usual),
        pressure: 'feather',
        note: '',
        cautions: [],
      },
    ],
  };
}
