import type { Seconds } from '../quantities';
import type { FieldError, Result } from '../result';
import { type Block, type Setting, type SetupCosts, startSetting, usualCosts } from './block';
import { findCycle, ringWords } from './cycle';
import { findExactOrder } from './exact-order';
import { findLongOrder, findQuickOrder } from './long-order';
import { changesOf, setupSeconds, type SetupChange } from './setup';
import { leastVisit } from './setup-bound';
import { sequencingSays } from './sequencing.says';

export interface Sequence {
  readonly order: readonly string[];
  readonly setupSeconds: Seconds;
  /** No order costs less than this; the same as `setupSeconds` when the order is proven best. */
  readonly lowerBound: number;
  readonly optimal: boolean;
  /** How far the order may be from the best one, as a share of its setup time (0–1); 0 when it is proven best. */
  readonly gap: number;
  readonly changes: readonly SetupChange[];
}

const fewBlocks = 16;

/**
 * The order of blocks with the least setup time that obeys every `after`; ties go to the order whose ids come first.
 * @returns errors for ids given twice, for unknown ids, and for a ring of `after`, which is named
 */
export function sequenceBlocks(
  blocks: readonly Block[],
  start: Setting = startSetting,
  costs: SetupCosts = usualCosts,
): Result<Sequence> {
  const errors = errorsIn(blocks);
  if (errors.length > 0) return { ok: false, errors };
  const sorted = [...blocks].sort((a, b) => (a.id < b.id ? -1 : 1));
  const classes = classesOf(sorted);
  const between = betweenClasses(classes.settings, start, costs);
  const index = new Map(sorted.map(({ id }, i) => [id, i]));
  const before = sorted.map(({ after }) => new Set(after.map((id) => index.get(id) ?? -1)));
  const problem = { size: sorted.length, classOf: classes.of, between, before };
  // With few blocks the best order is found sooner than a beam is followed.
  const quick = sorted.length <= fewBlocks ? findExactOrder(problem, findQuickOrder(problem).seconds) : undefined;
  const good = quick ?? findLongOrder(problem);
  const exact = quick ?? findExactOrder(problem, good.seconds);
  const found = exact ?? good;
  const ordered = found.order.flatMap((i) => sorted[i] ?? []);
  const lowerBound = exact ? found.seconds : boundOf(classes.settings, start, costs);
  return {
    ok: true,
    value: {
      order: ordered.map(({ id }) => id),
      setupSeconds: found.seconds,
      lowerBound,
      ...howFar(found.seconds, lowerBound),
      changes: changesOf(start, ordered, costs),
    },
  };
}

function howFar(seconds: Seconds, lowerBound: number): Pick<Sequence, 'optimal' | 'gap'> {
  const optimal = seconds <= lowerBound + 1e-9;
  return { optimal, gap: optimal ? 0 : (seconds - lowerBound) / seconds };
}

function errorsIn(blocks: readonly Block[]): readonly FieldError[] {
  const known = new Map<string, number>();
  const errors: FieldError[] = [];
  for (const [i, { id }] of blocks.entries()) {
    if (known.has(id)) errors.push({ path: `blocks.${i}.id`, message: sequencingSays.isGivenTwiceEachIdOnce(id) });
    known.set(id, i);
  }
  for (const [i, { after }] of blocks.entries())
    for (const [k, id] of after.entries())
      if (!known.has(id))
        errors.push({ path: `blocks.${i}.after.${k}`, message: sequencingSays.thereIsNoBlockToCome(id) });
  if (errors.length > 0) return errors;
  const ring = findCycle(blocks);
  const at = ring && known.get(ring[0] ?? '');
  return ring ? [{ path: `blocks.${at ?? 0}.after`, message: ringWords(ring) }] : [];
}

function classesOf(blocks: readonly Block[]) {
  const numbers = new Map<string, number>();
  const settings: ClassSetting[] = [];
  const keyOf = ({ position, hands, therapist, side }: Setting) => `${position} ${hands} ${therapist} ${side}`;
  const of = blocks.map((block) => {
    const key = `${keyOf(block)} ${keyOf(block.leaves ?? block)}`;
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, settings.length);
    settings.push(block);
    return settings.length - 1;
  });
  return { of, settings };
}

type ClassSetting = Setting & Pick<Block, 'leaves'>;

const betweenClasses = (settings: readonly ClassSetting[], start: Setting, costs: SetupCosts) =>
  [...settings, start]
    .map((from: ClassSetting) => settings.map((to) => setupSeconds(from.leaves ?? from, to, costs)))
    .map((row) => [...row, 0]);

/** Every setting has to be seen; and so, taken alone, does every position, state of the hands and place. */
function boundOf(settings: readonly ClassSetting[], start: Setting, costs: SetupCosts): number {
  const whole = leastVisit(betweenClasses(settings, start, costs));
  // What changes inside a block is no change between blocks.
  if (settings.some(({ leaves }) => leaves)) return whole;
  const by = <K extends keyof Setting>(key: K) => {
    const kinds = [...new Map(settings.map((setting) => [setting[key], setting])).values()];
    const alone = (setting: Setting): Setting => ({ ...start, [key]: setting[key] });
    return leastVisit(betweenClasses(kinds.map(alone), start, costs));
  };
  return Math.max(whole, by('position') + by('hands') + by('therapist'));
}
