import type { Anatomy } from '../anatomy/place';
import { breathAt } from './breath';
import { type Beat, repetitionMsOf } from './progress';
import { shortHowOf, type TableStep, titleOf } from './table-step';
import { tableSays } from './table.says';

/** What is said aloud at a moment. A moment is said once, however long it lasts. */
export interface Spoken {
  readonly moment: string;
  readonly text: string;
}

export interface Now {
  readonly step: TableStep;
  readonly next: TableStep | undefined;
  readonly beat: Beat;
  /** Seconds of the step that have passed. */
  readonly stepSeconds: number;
  readonly status: 'ready' | 'running' | 'paused' | 'finished';
  /** Something has to be asked again before this step, and was not answered yet. */
  readonly mustAsk?: boolean;
  /** What the stones ask for in these seconds: taking out, changing, putting back. */
  readonly stoneCue?: string | undefined;
}

/** Repetitions faster than this are said in fives: nobody can speak each of them (ms). */
const countedEachMs = 1500;
const fives = 5;
/** So long before a hold ends it is said (ms). */
const warnedMs = 5000;

/**
 * What a treatment that is followed with eyes closed says: what changes, the place, the count, the breath, and what
 * comes then. Only names of techniques and places, never a name, a finding, a caution or a note: others may hear it.
 */
export function spokenAt(anatomy: Anatomy, now: Now): Spoken | undefined {
  const { step, beat, status } = now;
  const at = (moment: string, text: string): Spoken => ({ moment: `${step.id} ${moment}`, text });
  if (status === 'paused') return at('paused', tableSays.paused);
  if (status !== 'running') return undefined;
  // Nothing leads on with closed eyes while a question stands open.
  if (now.mustAsk) return at('asks again', tableSays.askAgainFirst);
  if (now.stoneCue !== undefined) return at(`stones ${now.stoneCue}`, now.stoneCue);
  if (beat.isOver) return at('over', endWords(anatomy, now.next));
  if (beat.repetition === 0) {
    if (now.stepSeconds < (step.setupSeconds ?? 0)) return at('change', changeWords(step));
    return at('place 1', [titleOf(anatomy, step), placeWords(anatomy, step, 1), timesWords(step)].join('. '));
  }
  const isBetween = beat.phase >= 1 && beat.repetition === step.repetitions;
  if (isBetween) return at(`place ${beat.placement + 1}`, placeWords(anatomy, step, beat.placement + 1));
  return workWords(now, at);
}

function workWords({ step, beat }: Now, at: (moment: string, text: string) => Spoken): Spoken | undefined {
  // Drops are counted as they fall, by whoever lets them fall.
  if (step.told?.dropped) return undefined;
  const rep = `${beat.placement}.${beat.repetition}`;
  const breath = breathAt(step, beat);
  if (breath) {
    if (breath.isRelease) return at(`${rep} release`, tableSays.letGo);
    return breath.part === 'in'
      ? at(`${rep} in ${breath.index}`, tableSays.breathIn)
      : at(`${rep} out ${breath.index}`, step.told?.breath ? tableSays.breathOutFollow : tableSays.breathOut);
  }
  if (step.told?.count === 'hold') {
    const leftMs = (1 - beat.phase) * repetitionMsOf(step);
    if (repetitionMsOf(step) > 2 * warnedMs && leftMs <= warnedMs) return at(`${rep} ending`, tableSays.fiveMore);
    return at(`${rep} hold`, tableSays.holdNow);
  }
  const isLast = beat.repetition === step.repetitions && step.repetitions > 1;
  if (isLast) return at(`${rep} last`, tableSays.theLastOne);
  if (repetitionMsOf(step) >= countedEachMs) return at(rep, String(beat.repetition));
  const five = Math.floor(beat.repetition / fives) * fives;
  return five === 0 ? undefined : at(`${beat.placement}.${five}`, tableSays.andCount(five));
}

/** The place and side of a round; drainage steps name theirs by where they lead. */
function placeWords(anatomy: Anatomy, step: TableStep, placement: number): string {
  const round = step.told?.rounds?.[placement - 1];
  if (round !== undefined) return round;
  if (placement > 1) return tableSays.nextPlace;
  return shortHowOf(anatomy, step).split(';')[0] ?? '';
}

function timesWords({ repetitions, told, kind, seconds }: TableStep): string {
  if (told?.dropped) return told.dropped.drops === 1 ? tableSays.oneDrop : tableSays.drops(told.dropped.drops);
  if (told?.count === 'hold')
    return repetitions > 1 ? tableSays.holdsOf(repetitions) : tableSays.holdFor(Math.round(seconds));
  if (kind === 'breathe' || told?.count === 'breaths') return tableSays.breaths(repetitions);
  return repetitions === 1 ? tableSays.once : tableSays.times(repetitions);
}

/** What changes before it; a hand stays where the therapist only walks round. */
function changeWords({ changes = [] }: TableStep): string {
  const isWalk = changes.length === 1 && changes[0]?.startsWith(tableSays.goTo);
  return [...changes, ...(isWalk ? [tableSays.leaveOneHandOn] : [])].join(' ');
}

function endWords(anatomy: Anatomy, next: TableStep | undefined): string {
  if (!next) return tableSays.thatWasTheLast;
  return [tableSays.done, tableSays.thenComes(titleOf(anatomy, next)), ...(next.changes ?? [])].join(' ');
}
