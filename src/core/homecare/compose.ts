import type { Minutes } from '../quantities';
import type { Anatomy } from '../anatomy/place';
import type { DrainageCase } from '../drainage/case';
import { judgeKindOfWork } from '../judgement/judge-kind';
import { placesOff } from '../judgement/judge-step';
import type { Judgement } from '../judgement/judgement';
import type { JudgementReason } from '../judgement/reasons';
import type { Library } from '../library/protocol';
import type { Result } from '../result';
import { reasonInWords } from '../judgement/words';
import { sheetFromLibrary } from './from-library';
import { sheetFromPlan } from './from-plan';
import type { HomeReach, HomeRoutine, HomeSheet } from './sheet';
import { homecareSays } from './homecare.says';

export interface HomeAsked {
  readonly side: 'left' | 'right' | 'both' | null;
  readonly minutes: Minutes;
  readonly reach: HomeReach;
}

/** A technique that moves skin as clients do: what may not be drained may not be drained alone either. */
const strokeId = 'skin-stretch';

/**
 * Draws a sheet up by the judgement that the treatments obey: from the planner, or from the library.
 * Errors: `routine` when the kind of work is out, `side` when it is needed, `minutes` beyond what is allowed, and what
 * the two ways of drawing up refuse.
 */
export function composeSheet(
  anatomy: Anatomy,
  library: Library,
  judgement: Judgement,
  routine: HomeRoutine,
  input: DrainageCase,
  asked: HomeAsked,
): Result<HomeSheet> {
  const refuse = (path: string, message: string): Result<HomeSheet> => ({ ok: false, errors: [{ path, message }] });
  const whole = judgeRoutine(judgement, routine);
  if (whole) return refuse('routine', reasonInWords({ anatomy, book: judgement.book }, whole));
  const most = mostMinutes(judgement, routine);
  if (asked.minutes > most) return refuse('minutes', homecareSays.atMostMinutesOfThisAlone(most));
  if (routine.from !== 'planner')
    return sheetFromLibrary(anatomy, library, routine, input.findings, judgement, {
      ...asked,
      side: asked.side === 'both' ? null : asked.side,
    });
  if (asked.side === null) return refuse('side', homecareSays.chooseTheSide);
  const stroke = library.techniques.get(strokeId);
  const off = stroke ? placesOff(judgement, routine.modality, stroke) : new Map<string, JudgementReason>();
  return sheetFromPlan(anatomy, input, {
    routine: routine.id === 'one-leg' ? 'one-leg' : 'after-armpit',
    ...asked,
    side: asked.side,
    keptOff: new Map([...off].map(([place, { rule }]) => [place, rule])),
  });
}

/** Why a routine is not given at all; how often it was done this week does not matter to drawing it up. */
export function judgeRoutine(judgement: Judgement, routine: HomeRoutine): JudgementReason | undefined {
  const kinds = routine.modality === 'home-self-care' ? ['home-self-care'] : [routine.modality, 'home-self-care'];
  return kinds
    .map((modality) => judgeKindOfWork(judgement, modality))
    .find((reason) => reason !== undefined && reason.kind !== 'frequency' && reason.kind !== 'gap');
}

export const mostMinutes = (judgement: Judgement, routine: HomeRoutine): number =>
  Math.min(judgement.kind(routine.modality)?.answer.limits.maxMinutes ?? Infinity, routine.minutes.most);

/** Times in seven days: of screening and the routine's own the smaller. */
export const mostPerWeek = (judgement: Judgement, routine: HomeRoutine): number =>
  Math.min(
    judgement.kind(routine.modality)?.answer.limits.maxPerWeek ?? Infinity,
    judgement.kind('home-self-care')?.answer.limits.maxPerWeek ?? Infinity,
    routine.mostPerWeek,
  );
