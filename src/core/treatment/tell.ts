import type { PlaceId, RegionGroups } from '../anatomy/place';
import type { StepKind } from '../drainage/step';
import { type Family, hasTrait, type Technique } from '../library/technique';
import { toolFor } from './tool';
import type { JudgementReason } from '../judgement/reasons';
import type { Setting } from '../sequencing/block';
import type { SetupChange } from '../sequencing/setup';
import { stoneUseOf } from '../stones/use';
import type { TableStep, ToldStep } from '../table/table-step';
import { taughtOf } from './taught';
import { repetitionSecondsOf } from './block';
import { isStretchable } from './fit-blocks';
import type { PlannedBlock, PlannedStep } from './plan-treatment';
import { treatmentSays } from './treatment.says';

/** The pebble that stands for a family. */
const kinds: Readonly<Partial<Record<Family, StepKind>>> = {
  breath: 'breathe',
  'lymph-stretch': 'drain',
  'lymph-sweep': 'drain',
  effleurage: 'carry',
  'stone-glide': 'carry',
  roll: 'carry',
  brush: 'return',
  hold: 'close',
  ritual: 'close',
  'stone-rest': 'close',
  'stone-cool': 'close',
};

/** The kind of step that a technique is shown as. */
export const kindOf = ({ family }: Technique): StepKind => kinds[family] ?? 'soften';

const sides = {
  both: treatmentSays.bothSidesTogether,
  each: treatmentSays.oneSideThenTheOther,
  left: 'left',
  right: 'right',
} as const;

const ways: Readonly<Record<Technique['direction'], string>> = {
  'towards-node': treatmentSays.towardsTheNodeGroup,
  'towards-heart': treatmentSays.towardsTheHeart,
  'across-line': treatmentSays.acrossTheLine,
  'along-muscle': treatmentSays.alongTheMuscle,
  'bowel-clockwise': treatmentSays.upTheRightAcrossDownThe,
  'node-outward': treatmentSays.besideTheNodeFirstThenFurther,
  none: '',
};

/** What the repetitions of a step count for: each side, and each region where it is repeated there. */
function roundsOfStep(
  { technique, regions, side }: PlannedStep,
  regionLabel: (name: string) => string,
): readonly string[] {
  const names = technique.isPerRegion ? regions.map(regionLabel) : [''];
  if (side !== 'each') return names;
  const first = names.map((name) => treatmentSays.left(name).trim());
  const second = names.map((name, i) => treatmentSays.right(i === 0 ? treatmentSays.nowTheOtherSide : '', name).trim());
  return [...first, ...second];
}

/** How reasons and places are said; a table of words of its own can stand in. */
export interface StepWords {
  readonly caution: (reason: JudgementReason) => string;
  readonly place: (place: PlaceId) => string;
}

const plainWords: StepWords = { caution: ({ rule }) => rule, place: (place) => place };

const sideInWords = ({ side, isOneSided }: PlannedStep) =>
  isOneSided && (side === 'left' || side === 'right') ? treatmentSays.sideOnly(side) : sides[side];

function wayOf({ technique, toward, isReversed, endsAtRoot }: PlannedStep, words: StepWords): string {
  if (toward !== undefined) return treatmentSays.towardsThe(words.place(toward));
  if (isReversed) return treatmentSays.fromTheSkullDown;
  if (endsAtRoot) return treatmentSays.towardsTheTrunkEndingAtThe;
  return ways[technique.direction];
}

/** So many places are named at the table, where the picture shows all of them. */
const mostNamed = 5;

/** `buttock to sole (10 places)`: the first and the last of places that stand in the order of the work. */
const spanOf = (labels: readonly string[]) => `${labels[0]} to ${labels.at(-1)} (${labels.length} places)`;

const holdSeconds = 12;

/** A library step as the table shows it. @param regionLabel what therapists call a region */
export function tellStep(
  groups: RegionGroups,
  block: PlannedBlock,
  step: PlannedStep,
  changes: readonly string[],
  regionLabel: (name: string) => string,
  lines: readonly string[] = [],
  words: StepWords = plainWords,
): TableStep {
  const { technique } = step;
  const labels = step.regions.map(regionLabel);
  const how = (regions: string) => [`${regions}, ${sideInWords(step)}`, wayOf(step, words)].filter(Boolean).join('; ');
  const told: ToldStep = {
    technique: technique.id,
    title: technique.name,
    how: how(labels.join(', ')),
    ...(labels.length > mostNamed ? { howInShort: how(spanOf(labels)) } : {}),
    cue: (step.isReversed ? technique.turnedCue : undefined) ?? technique.cues[0] ?? '',
    note: step.note,
    block: block.name,
    modality: block.modality,
    twin: block.twin === undefined ? undefined : `${block.choice} ${block.twin}`,
    count: technique.family === 'breath' ? 'breaths' : isHeld(technique) ? 'hold' : 'repetitions',
    ...(hasTrait(technique, 'breath-linked') && technique.family !== 'breath'
      ? { breath: technique.family === 'pump' ? ('recoil' as const) : ('follow' as const) }
      : {}),
    places: step.places,
    ...(roundsOfStep(step, regionLabel).length > 1 ? { rounds: roundsOfStep(step, regionLabel) } : {}),
    isOpening: technique.id === 'node-clear' || technique.family === 'breath' || undefined,
    tool: toolWords(groups, step),
    layer: step.layer,
    stones: stoneUseOf(technique, step.stones),
    ...(lines.length > 0 ? { lines } : {}),
  };
  return {
    id: step.id,
    kind: kindOf(technique),
    place: step.places[0] ?? 'abdominal-deep.mid',
    toward: step.toward ?? null,
    via: [],
    pressure: step.pressure === 'none' ? 'feather' : step.pressure,
    repetitions: step.repetitions,
    placements: 1,
    seconds: step.seconds,
    rules: [],
    why: block.why[0] ?? '',
    cautions: [...new Set(step.cautions.map(words.caution))],
    told,
    taught: taughtOf(technique, step.why),
    changes,
    setupSeconds: changes.length > 0 ? block.changes.reduce((sum, { seconds }) => sum + seconds, 0) : undefined,
    fit: {
      min: Math.min(technique.repetitions.min, step.repetitions),
      max: step.isSet ? step.repetitions : Math.max(technique.repetitions.max, step.repetitions),
      secondsPerRepetition: repetitionSecondsOf(step),
      isStretchable: isStretchable(step),
    },
  };
}

function toolWords(groups: RegionGroups, { technique, regions }: PlannedStep): string | undefined {
  const chosen = toolFor(groups, technique, regions);
  return chosen && `${chosen.tool}${chosen.needsSlip ? treatmentSays.overSomethingToGlideOn : ''}`;
}

/** Counted by its seconds, not by its repetitions. */
export const isHeld = ({ secondsPerRepetition, family }: Technique) =>
  secondsPerRepetition >= holdSeconds && ['hold', 'stretch', 'assessment', 'stone-rest', 'ritual'].includes(family);

const positionWords = {
  supine: treatmentSays.onTheBack,
  prone: treatmentSays.faceDown,
  'side-left': treatmentSays.onTheLeftSide,
  'side-right': treatmentSays.onTheRightSide,
  seated: 'sitting',
} as const;

const handWords = {
  dry: treatmentSays.washAndDryTheHands,
  oiled: treatmentSays.oilOnTheHands,
  gloved: treatmentSays.newGlovesWashTheHandsBefore,
  stone: treatmentSays.takeUpTheStonesTryThem,
  brush: treatmentSays.takeTheBrush,
  tool: treatmentSays.takeTheTool,
} as const;

/** What to do before a block, with the cue for draping. */
export function changeWords(changes: readonly SetupChange[], to: Setting, isNeckStill = false): readonly string[] {
  return changes.map(({ kind }) => {
    switch (kind) {
      case 'turn':
        return to.position === 'seated'
          ? treatmentSays.helpTheClientToSitUp
          : treatmentSays.turnTheClientSheetHeldHigh(positionWords[to.position]);
      case 'hands':
        return handWords[to.hands];
      case 'walk':
        return to.therapist === 'head'
          ? treatmentSays.sitAtTheHead
          : treatmentSays.goToThe(to.therapist, to.therapist === 'feet' ? '' : ' side');
      case 'wash':
        return to.hands === 'oiled' ? treatmentSays.washTheHandsTheyComeFrom : treatmentSays.washTheHandsTheyComeFrom2;
      case 'head': {
        const away = to.side === 'left' ? 'right' : 'left';
        return isNeckStill
          ? treatmentSays.theHeadStaysInTheMiddle(to.side)
          : treatmentSays.letTheHeadRollToThe(away, to.side);
      }
      case 'drape':
        return to.side === 'both' ? treatmentSays.drapeAnew : treatmentSays.coverTheOtherSideOpenThe(to.side);
    }
  });
}
