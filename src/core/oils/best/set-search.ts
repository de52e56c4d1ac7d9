import type { Drops } from '../../quantities';
import { slack } from '../../statistics';
import { type BlendProblem, meritOf, merits, totalRange } from './blend-problem';
import type { Box, Line } from './relax';
import { type Found, isBetter, same } from './found';

/** Sums of many drops drift by rounding: a bound is trusted no closer. */
export const drift = 1e-9;

/**
 * Drops for one set of oils, tried in depth. What is still to come is bounded twice: by the straight line above the
 * merit, and by each of its terms being as good as it can be from the drops that are fixed.
 */
export class SetSearch {
  private readonly size: number;
  private readonly counts: number[];
  private readonly perNote = [0, 0, 0];
  private readonly perUse: number[];
  private readonly loads: number[];
  private total = 0;
  private price = 0;
  private lineValue: number;
  /** Positions from steepest to flattest slope of the line. */
  private readonly steepest: readonly number[];

  constructor(
    private readonly problem: BlendProblem,
    private readonly box: Box,
    private readonly line: Line,
    private best: Found | undefined,
  ) {
    const { packings, weights, share } = problem;
    this.size = box.oils.length;
    this.counts = box.oils.map(() => 0);
    this.perUse = weights.map(() => 0);
    this.loads = packings.map(() => 0);
    this.lineValue = line.constant - merits.oil * this.size;
    const slope = (at: number) => (line.perDrop[box.oils[at] ?? 0] ?? 0) / (share[box.oils[at] ?? 0] ?? 1);
    this.steepest = box.oils.map((_, at) => at).sort((a, b) => slope(b) - slope(a));
  }

  search(): Found | undefined {
    this.step(0);
    return this.best;
  }

  private step(at: number): void {
    if (at === this.size) {
      this.offer();
      return;
    }
    const i = this.box.oils[at] ?? 0;
    const share = this.problem.share[i] ?? 0;
    const isLast = at === this.size - 1;
    const from = isLast ? Math.max(1, Math.ceil((totalRange.least - this.total) / share - slack)) : 1;
    const to = Math.min(this.box.most[at] ?? 0, Math.floor((totalRange.most - this.total) / share + slack));
    if (to < from) return;
    this.put(at, i, from);
    for (let count = from; count <= to && this.isWithinLimits(); count += 1) {
      if (this.isHopeful(at + 1)) this.step(at + 1);
      this.put(at, i, 1);
    }
    this.put(at, i, -(this.counts[at] ?? 0));
  }

  private isWithinLimits(): boolean {
    for (const load of this.loads) if (load > 1 + slack) return false;
    return true;
  }

  private put(at: number, i: number, drops: Drops): void {
    const { share, cost, note, uses, packings } = this.problem;
    const part = drops * (share[i] ?? 0);
    const n = note[i] ?? 0;
    this.counts[at] = (this.counts[at] ?? 0) + drops;
    this.total += part;
    this.price += drops * (cost[i] ?? 0);
    this.lineValue += drops * (this.line.perDrop[i] ?? 0);
    this.perNote[n] = (this.perNote[n] ?? 0) + part;
    for (const u of uses[i] ?? []) this.perUse[u] = (this.perUse[u] ?? 0) + part;
    for (let p = 0; p < packings.length; p += 1)
      this.loads[p] = (this.loads[p] ?? 0) + drops * (packings[p]?.perDrop[i] ?? 0);
  }

  private offer(): void {
    const drops = this.problem.oils.map(() => 0);
    this.box.oils.forEach((i, at) => {
      drops[i] = this.counts[at] ?? 0;
    });
    const found = { drops, merit: meritOf(this.problem, drops) };
    if (isBetter(found, this.best)) this.best = found;
  }

  /** Whether a blend as good as the best can still come of the oils from `at` on. */
  private isHopeful(at: number): boolean {
    if (!this.best) return true;
    const enough = this.best.merit - same;
    return this.lineBound(at) >= enough - drift && this.termBound(at) >= enough - drift;
  }

  private lineBound(at: number): number {
    const { share } = this.problem;
    const { oils, least, most } = this.box;
    let total = this.total;
    let value = this.lineValue;
    for (let k = at; k < this.size; k += 1) {
      const i = oils[k] ?? 0;
      total += (least[k] ?? 0) * (share[i] ?? 0);
      value += (least[k] ?? 0) * (this.line.perDrop[i] ?? 0);
    }
    for (const k of this.steepest) {
      if (k < at) continue;
      const i = oils[k] ?? 0;
      const drop = this.line.perDrop[i] ?? 0;
      const room = Math.max(0, (drop > 0 ? totalRange.most : totalRange.least) - total) / (share[i] ?? 1);
      const more = Math.min(room, (most[k] ?? 0) - (least[k] ?? 0));
      total += more * (share[i] ?? 0);
      value += more * drop;
    }
    return total < totalRange.least - slack || total > totalRange.most + slack ? -Infinity : value;
  }

  private termBound(at: number): number {
    const { share, cost, note, uses, weights, wishedNotes } = this.problem;
    const noteRoom = [0, 0, 0];
    const useRoom = weights.map(() => 0);
    let least = 0;
    let room = 0;
    let cheapest = Infinity;
    for (let k = at; k < this.size; k += 1) {
      const i = this.box.oils[k] ?? 0;
      const one = share[i] ?? 0;
      const most = (this.box.most[k] ?? 0) * one;
      least += one;
      room += most;
      cheapest = Math.min(cheapest, (cost[i] ?? 0) / one);
      noteRoom[note[i] ?? 0] = (noteRoom[note[i] ?? 0] ?? 0) + most;
      for (const u of uses[i] ?? []) useRoom[u] = (useRoom[u] ?? 0) + most;
    }
    const from = Math.max(least, totalRange.least - this.total);
    const to = Math.min(room, totalRange.most - this.total);
    if (to < from - slack) return -Infinity;
    let served = 0;
    for (let u = 0; u < weights.length; u += 1) {
      const reach = (this.perUse[u] ?? 0) + Math.min(to, useRoom[u] ?? 0);
      served += (weights[u] ?? 0) * Math.min(1, reach / merits.useSaturation);
    }
    let off = 0;
    let fill = 0;
    for (let n = 0; wishedNotes && n < 3; n += 1) {
      const wish = wishedNotes[n] ?? 0;
      const has = this.perNote[n] ?? 0;
      off += Math.abs(has - wish);
      fill += Math.min(Math.max(0, wish - has), noteRoom[n] ?? 0);
    }
    const penalty = (r: number) =>
      (wishedNotes ? merits.note * (off - fill + Math.abs(r - fill)) : 0) + merits.total * Math.abs(this.total + r - 1);
    const clamp = (r: number) => Math.min(Math.max(r, from), to);
    const price = this.price + (cheapest === Infinity ? 0 : cheapest * Math.max(0, from));
    const off1 = Math.min(penalty(clamp(fill)), penalty(clamp(1 - this.total)));
    return served - off1 - merits.oil * this.size - merits.cost * price;
  }
}
