import type { Seconds } from '../quantities';
import { hasTrait } from '../library/technique';
import { repetitionSecondsOf, type TreatmentBlock } from './block';
import { leastSecondsOf, usualSecondsOf } from './fit-blocks';
import { treatmentSays } from './treatment.says';

/** A way to save time, for the therapist to take or leave. */
export interface Proposal {
  readonly kind: 'evenly' | 'short-form' | 'both-hands' | 'leave-out' | 'open-once';
  readonly words: string;
  readonly savesSeconds: Seconds;
  /** Blocks that it takes out. */
  readonly blocks: readonly string[];
}

const isOpening = ({ steps }: TreatmentBlock) =>
  steps.every(({ technique }) => technique.family === 'lymph-stretch' || technique.family === 'breath');

/** What could be saved, most first. */
export function waysToShorten(blocks: readonly TreatmentBlock[]): readonly Proposal[] {
  const usual = usualSecondsOf(blocks);
  const evenly = usual - leastSecondsOf(blocks);
  const proposals: Proposal[] = [
    {
      kind: 'evenly',
      words: treatmentSays.fewerRepetitionsEverywhereDownToThe,
      savesSeconds: evenly,
      blocks: [],
    },
    ...shortForms(blocks),
    ...bothHands(blocks),
    ...optionalOnes(blocks),
    ...secondOpenings(blocks),
  ];
  return proposals.filter(({ savesSeconds }) => savesSeconds > 0).sort((a, b) => b.savesSeconds - a.savesSeconds);
}

function shortForms(blocks: readonly TreatmentBlock[]): readonly Proposal[] {
  const choices = new Set(blocks.filter(({ isShortForm }) => isShortForm).map(({ choice }) => choice));
  const others = blocks.filter(({ choice, isShortForm }) => choices.has(choice) && !isShortForm);
  if (others.length === 0) return [];
  return [
    {
      kind: 'short-form',
      words: treatmentSays.theShortFormWhatCanBe,
      savesSeconds: usualSecondsOf(others),
      blocks: others.map(({ id }) => id),
    },
  ];
}

/** One side after the other takes twice as long as both hands alike. */
function bothHands(blocks: readonly TreatmentBlock[]): readonly Proposal[] {
  const steps = blocks
    .flatMap((block) => block.steps)
    .filter(({ side, technique }) => side === 'each' && !hasTrait(technique, 'both-hands-one-side'));
  const savesSeconds = steps.reduce((sum, step) => sum + (step.repetitions * repetitionSecondsOf(step)) / 2, 0);
  return savesSeconds > 0
    ? [{ kind: 'both-hands', words: treatmentSays.bothHandsAlikeInsteadOfOne, savesSeconds, blocks: [] }]
    : [];
}

const optionalOnes = (blocks: readonly TreatmentBlock[]) =>
  blocks
    .filter(({ isOptional }) => isOptional)
    .map((block): Proposal => ({
      kind: 'leave-out',
      words: treatmentSays.leaveOut(block.name),
      savesSeconds: usualSecondsOf([block]),
      blocks: [block.id],
    }));

/** The neck needs to be opened once, however many parts begin with it. */
function secondOpenings(blocks: readonly TreatmentBlock[]): readonly Proposal[] {
  const openings = blocks.filter(isOpening);
  const [first, ...again] = openings;
  return again
    .filter((block) => first && block.choice !== first.choice)
    .map((block): Proposal => ({
      kind: 'open-once',
      words: treatmentSays.theNeckIsOpenAlreadyLeave(block.name),
      savesSeconds: usualSecondsOf([block]),
      blocks: [block.id],
    }));
}
