import type { Anatomy, PlaceId } from '../anatomy/place';
import { checkCourse } from '../drainage/check';
import { findPrecedences } from '../drainage/precedence';
import { surveyCase } from '../drainage/survey';
import type { ReadCase } from '../drainage/case';
import { planDrainage } from '../drainage/plan';
import type { Step } from '../drainage/step';
import { stepTitle } from '../drainage/step-words';
import { flowOf } from '../flow/flow';
import { flowGraph, usualStart } from '../flow/model';
import { bodyOf } from './bodies';
import type { Drill, DrillFault, TrainingBooks } from './drill';
import { scoreOf } from './drill';
import { skillBehind, type SkillId } from './skills';
import { trainingSays } from './training.says';

type OrderStep = Pick<
  Step,
  'id' | 'kind' | 'place' | 'toward' | 'via' | 'pressure' | 'repetitions' | 'placements' | 'seconds'
>;

interface OrderCase {
  readonly read: ReadCase;
  readonly words: string;
  readonly waiting: ReadonlySet<PlaceId>;
  /** In the planner's order. */
  readonly steps: readonly OrderStep[];
  /** Must not be done on this body. */
  readonly wrong: readonly OrderStep[];
  readonly shuffled: readonly OrderStep[];
  readonly isUnlabelled: boolean;
}

export interface OrderQuestion {
  readonly words: string;
  readonly focus: readonly PlaceId[];
  readonly findings: ReadCase['findings'];
  readonly school: ReadCase['school'];
  readonly minutes: number;
  /** Some of them must be left out. */
  readonly hasWrongSteps: boolean;
  readonly steps: readonly (OrderStep & { readonly label: string | null })[];
}

export interface OrderAnswer {
  readonly order: readonly string[];
}

/** More than these nobody puts into an order by hand. */
const mostSteps = { 1: 24, 2: 34, 3: 44, 4: 52 } as const;
const fewestSteps = 6;

/** Puts the steps of a drainage into their order, and leaves out what must not be done. */
export const orderDrill: Drill<OrderCase, OrderQuestion, OrderAnswer> = {
  make: ({ anatomy }, draw, level, course) => {
    const body = course ?? bodyOf(anatomy, draw, level);
    if (!body) return undefined;
    const { read, words } = body;
    const plan = planDrainage(anatomy, read);
    const kept = plan.steps.filter(({ kind }) => kind !== 'turn' && (level === 4 || kind !== 'return'));
    const most = course ? Infinity : mostSteps[level];
    if (kept.length < fewestSteps || kept.length > most || (!plan.fits && !course)) return undefined;
    const waiting = new Set(plan.waiting);
    if (checkCourse(anatomy, read, kept, waiting).length > 0) return undefined;
    const wrong = level < 3 ? [] : wrongSteps(read, kept);
    const all = draw.shuffled([...kept, ...wrong]);
    const nameOf = new Map(all.map(({ id }, i) => [id, `s${i + 1}`]));
    const named = ({ id, kind, place, toward, via, pressure, repetitions, placements, seconds }: OrderStep) => ({
      ...{ id: nameOf.get(id) ?? id, kind, place, toward, via, pressure, repetitions, placements, seconds },
    });
    return {
      ...{ read, words, waiting, steps: kept.map(named), wrong: wrong.map(named), shuffled: all.map(named) },
      isUnlabelled: level === 4,
    };
  },
  ask: ({ anatomy }, { read, words, wrong, shuffled, isUnlabelled }) => ({
    words,
    ...{ focus: read.focus, findings: read.findings, school: read.school, minutes: read.minutes },
    hasWrongSteps: wrong.length > 0,
    steps: shuffled.map((step) => ({ ...step, label: isUnlabelled ? null : titleOf(anatomy, step) })),
  }),
  errors: (_books, { shuffled }, { order }) => {
    const known = new Set(shuffled.map(({ id }) => id));
    return order.flatMap((id, i) => {
      const path = `order.${i}`;
      if (!known.has(id)) return [{ path, message: trainingSays.noSuchStep(id) }];
      return order.indexOf(id) < i ? [{ path, message: trainingSays.twice(id) }] : [];
    });
  },
  judge: (books, of, { order }) => {
    const ofId = new Map(of.shuffled.map((step) => [step.id, step]));
    const own = order.flatMap((id) => ofId.get(id) ?? []);
    const violations = checkCourse(books.anatomy, of.read, own, of.waiting);
    const missing = of.steps.filter(({ id }) => !order.includes(id));
    const faults: DrillFault[] = [
      ...violations.map(({ rule, text, step }) => ({ rule, text, step })),
      ...missing.map((step) => ({
        rule: 'left-out',
        text: trainingSays.leftOut(titleOf(books.anatomy, step)),
        step: step.id,
      })),
    ];
    if (faults.length === 0) return { score: 1, faults };
    const dangerous = of.wrong.filter(({ id }) => order.includes(id)).length;
    const errors = violations.filter(({ severity }) => severity === 'error').length;
    const weight = errors + (violations.length - errors) / 2 + missing.length + 3 * dangerous;
    const share = shareDrained(books, of, own);
    return { score: scoreOf((1 - weight / (of.steps.length / 2)) * (0.5 + share / 2)), faults };
  },
  best: (_books, { steps }) => ({ order: steps.map(({ id }) => id) }),
  skills: ({ anatomy }, { read, steps, wrong }) => {
    const { precedences } = findPrecedences(anatomy, read, surveyCase(anatomy, read), steps);
    const asked = new Set(precedences.map(({ rule }) => skillBehind('order', rule)));
    if (wrong.length > 0) asked.add('closed-nodes');
    asked.add('nothing-left-out');
    asked.delete(undefined);
    return [...asked] as readonly SkillId[];
  },
};

/** A group is cleared at the beginning and closed at the end: told apart, or nobody could know which is which. */
function titleOf(anatomy: Anatomy, step: OrderStep): string {
  const title = stepTitle(anatomy, step);
  return step.kind === 'close' ? trainingSays.onceMore(title) : title;
}

/** Strokes and clearings that this body forbids: into what is closed. */
function wrongSteps(read: ReadCase, steps: readonly OrderStep[]): readonly OrderStep[] {
  const [clear] = steps.filter(({ kind }) => kind === 'clear');
  const [drain] = steps.filter(({ kind }) => kind === 'drain');
  const closed = [...read.hindrances.blocked.keys()];
  const [into] = closed;
  // What is left of a removed group may be touched gently once: that clearing is no mistake.
  const untouched = closed.find((id) => !steps.some(({ kind, place }) => kind === 'clear' && place === id));
  return [
    ...(clear && untouched !== undefined
      ? [{ ...clear, id: 'wrong-clear', place: untouched, toward: null, via: [] }]
      : []),
    ...(drain && into !== undefined ? [{ ...drain, id: 'wrong-drain', toward: into, via: [] }] : []),
  ];
}

/** What an order lets out against what the best one does, 0–1, by the flow model. */
function shareDrained({ anatomy }: TrainingBooks, of: OrderCase, own: readonly OrderStep[]): number {
  const graph = flowGraph(anatomy, of.read.hindrances, of.read.findings);
  const start = usualStart(anatomy, of.read.territories);
  const out = (steps: readonly OrderStep[]) => {
    const seconds = Math.max(1, Math.round(steps.reduce((sum, step) => sum + step.seconds, 0)));
    return flowOf({ graph, start, steps, seconds, every: seconds }).series.at(-1)?.drainedMl ?? 0;
  };
  const best = out(of.steps);
  return best > 0 ? Math.min(1, out(own) / best) : 1;
}
