import loadHighs from 'highs';
import type { Block, Setting, SetupCosts } from '../src/core/sequencing/block';
import { type BlendProblem, merits, totalRange } from '../src/core/oils/best/blend-problem';
import { setupSeconds } from '../src/core/sequencing/setup';
import { type FitStep, penaltyOf, secondsAt } from '../src/core/sequencing/time-fit';

/** Integer programs for the same questions, to hold the own answers against. */

/** Each with a solver of its own: one that has solved a program with whole numbers cannot always read the next. */
async function solve(program: string): Promise<number> {
  const solution = (await loadHighs()).solve(program, { mip_rel_gap: 0 });
  if (solution.Status !== 'Optimal') throw new Error(`the program is ${solution.Status}`);
  return solution.ObjectiveValue;
}

/** Terms of a sum, a few to a line: the reader of programs takes no long ones. */
const sum = (terms: readonly string[]) =>
  terms.length === 0
    ? '0 zero'
    : terms.map((term, i) => `${i > 0 ? `${i % 8 === 0 ? '\n' : ' '}+ ` : ''}${term}`).join('');

/** Least setup seconds: one block follows another, and each has its number in the order (Miller, Tucker, Zemlin (1960), JACM 7:326). */
export async function leastOrderByProgram(
  blocks: readonly Block[],
  start: Setting,
  costs: SetupCosts,
): Promise<number> {
  const n = blocks.length;
  const settings: readonly Setting[] = [...blocks, start];
  const arcs = settings.flatMap((from, i) =>
    blocks.flatMap((to, j) => (i === j ? [] : [{ i, j, name: `x${i}_${j}`, seconds: setupSeconds(from, to, costs) }])),
  );
  const index = new Map(blocks.map(({ id }, i) => [id, i]));
  const rows = [
    ...blocks.map((_, j) => `${sum(arcs.filter((arc) => arc.j === j).map(({ name }) => name))} = 1`),
    ...settings.map((_, i) => `${sum(arcs.filter((arc) => arc.i === i).map(({ name }) => name))} <= 1`),
    `${sum(arcs.filter((arc) => arc.i === n).map(({ name }) => name))} = 1`,
    ...arcs.filter(({ i }) => i < n).map(({ i, j, name }) => `u${i} - u${j} + ${n} ${name} <= ${n - 1}`),
    ...blocks.flatMap(({ after }, j) => after.map((id) => `u${j} - u${index.get(id) ?? 0} >= 1`)),
  ];
  return solve(
    [
      'Minimize',
      ` obj: ${sum(arcs.map(({ seconds, name }) => `${seconds} ${name}`))} + 0 zero`,
      'Subject To',
      ...rows.map((row, k) => ` r${k}: ${row}`),
      'Bounds',
      ...blocks.map((_, i) => ` 1 <= u${i} <= ${n}`),
      'Binary',
      ...arcs.map(({ name }) => ` ${name}`),
      'End',
    ].join('\n'),
  );
}

/**
 * Least setup seconds of many blocks with strict precedences, as the cheapest flow of one unit through the network of
 * what may be over at some moment (a linear program: such a flow is whole by itself).
 */
export async function leastOrderByFlow(blocks: readonly Block[], start: Setting, costs: SetupCosts): Promise<number> {
  const full = (1 << blocks.length) - 1;
  const index = new Map(blocks.map(({ id }, i) => [id, i]));
  const needs = blocks.map(({ after }) => after.reduce((bits, id) => bits | (1 << (index.get(id) ?? 0)), 0));
  const nodes = new Map<string, { into: string[]; out: string[] }>();
  const nodeAt = (over: number, last: number) => {
    const key = `${over} ${last}`;
    const known = nodes.get(key);
    if (known) return known;
    const made = { into: [], out: [] };
    nodes.set(key, made);
    follow(over, last);
    return made;
  };
  const arcs: { readonly name: string; readonly seconds: number }[] = [];
  const open: (() => void)[] = [];
  const follow = (over: number, last: number) =>
    open.push(() => {
      for (const [j, block] of blocks.entries()) {
        if (over & (1 << j) || (needs[j] ?? 0) & ~over) continue;
        const name = `f${arcs.length}`;
        arcs.push({ name, seconds: setupSeconds(blocks[last] ?? start, block, costs) });
        nodeAt(over, last).out.push(name);
        nodeAt(over | (1 << j), j).into.push(name);
      }
    });
  const first = nodeAt(0, -1);
  for (let next = open.pop(); next; next = open.pop()) next();
  const ends = [...nodes].filter(([key]) => key.startsWith(`${full} `)).flatMap(([, { into }]) => into);
  const between = [...nodes.values()].filter(({ into, out }) => into.length > 0 && out.length > 0);
  return solve(
    [
      ...['Minimize', ` obj: ${sum(arcs.map(({ seconds, name }) => `${seconds} ${name}`))} + 0 zero`, 'Subject To'],
      ` begin: ${sum(first.out)} = 1`,
      ` end: ${sum(ends)} = 1`,
      ...between.map(({ into, out }, k) => ` n${k}: ${sum(into)}\n - ${out.join('\n - ')} = 0`),
      'End',
    ].join('\n'),
  );
}

/** Least penalty of repetitions within the time: one choice a step. */
export async function leastPenaltyByProgram(steps: readonly FitStep[], availableSeconds: number): Promise<number> {
  const choices = steps.map((step, i) =>
    [...(step.optional ? [0] : []), ...Array.from({ length: step.max - step.min + 1 }, (_, k) => step.min + k)].map(
      (r) => ({ name: `x${i}_${r}`, seconds: secondsAt(step, r), penalty: penaltyOf(step, r) }),
    ),
  );
  const all = choices.flat();
  return solve(
    [
      'Minimize',
      ` obj: ${sum(all.map(({ name, penalty }) => `${penalty.toFixed(9)} ${name}`))}`,
      'Subject To',
      ` time: ${sum(all.map(({ name, seconds }) => `${seconds} ${name}`))} <= ${availableSeconds}`,
      ...choices.map((list, i) => ` c${i}: ${sum(list.map(({ name }) => name))} = 1`),
      'Binary',
      ` ${all.map(({ name }) => name).join(' ')}`,
      'End',
    ].join('\n'),
  );
}

/** Most merit of a blend: whole drops, which oils are in, and one variable for each bend of the merit. */
export async function bestMeritByProgram(problem: BlendProblem): Promise<number> {
  const { oils, share, most, cost, note, uses, weights, wishedNotes, packings, maxOils } = problem;
  const term = (factor: number, name: string) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor).toFixed(12)} ${name}\n`;
  const all = oils.map((_, i) => term(share[i] ?? 0, `d${i}`)).join('');
  const ofUse = (u: number) =>
    oils.flatMap((_, i) => (uses[i]?.includes(u) ? [term(-2 * (share[i] ?? 0), `d${i}`)] : [])).join(' ');
  const ofNote = (n: number, sign: number) =>
    oils.flatMap((_, i) => (note[i] === n ? [term(sign * (share[i] ?? 0), `d${i}`)] : [])).join(' ');
  const notes = wishedNotes ?? [];
  const objective = [
    ...weights.map((weight, u) => term(weight, `s${u}`)),
    ...notes.map((_, n) => term(-merits.note, `n${n}`)),
    ...oils.flatMap((_, i) => [term(-merits.oil, `y${i}`), term(-merits.cost * (cost[i] ?? 0), `d${i}`)]),
    term(-merits.total, 't'),
  ];
  const rows = [
    `${all} >= ${totalRange.least}`,
    `${all} <= ${totalRange.most}`,
    `${all} - t <= 1`,
    `${all} + t >= 1`,
    ...weights.map((_, u) => `s${u} ${ofUse(u)} <= 0`),
    ...notes.flatMap((wish, n) => [`n${n} ${ofNote(n, -1)} >= ${-wish}`, `n${n} ${ofNote(n, 1)} >= ${wish}`]),
    ...oils.map((_, i) => `d${i} - ${Math.min(most[i] ?? 0, 500)} y${i} <= 0`),
    `${oils.map((_, i) => `y${i}`).join(' + ')} <= ${maxOils}`,
    ...packings.map(({ perDrop }) => `${perDrop.map((x, i) => term(x, `d${i}`)).join(' ')} <= 1`),
  ];
  return solve(
    [
      ...['Maximize', ` obj: ${objective.join('')}`, 'Subject To'],
      ...rows.map((row, k) => ` r${k}: ${row}`),
      ...['Bounds', ...weights.map((_, u) => ` s${u} <= 1`)],
      ...['General', ` ${oils.map((_, i) => `d${i}`).join(' ')}`],
      ...['Binary', ` ${oils.map((_, i) => `y${i}`).join(' ')}`, 'End'],
    ].join('\n'),
  );
}
