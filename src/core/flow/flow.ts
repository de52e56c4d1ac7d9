import type { Millilitres, Seconds } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import { edgeName, flowFigures as figures, type FlowGraph, type FlowStep, type StartMl } from './model';

export interface FlowCase {
  readonly graph: FlowGraph;
  readonly steps: readonly FlowStep[];
  readonly start: StartMl;
  readonly seconds: Seconds;
  /** An entry of the series for every so many whole seconds. */
  readonly every: Seconds;
}

export interface FlowEntry {
  readonly second: Seconds;
  readonly drainedMl: Millilitres;
  /** In territories and groups. */
  readonly insideMl: Millilitres;
}

export interface Flow {
  readonly startMl: Millilitres;
  readonly series: readonly FlowEntry[];
  /** What lies where at the end, of places that hold anything. */
  readonly left: Readonly<Record<PlaceId, Millilitres>>;
  /** Places that ever hold more than a trace: what lies there at each entry of the series. */
  readonly places: Readonly<Record<PlaceId, readonly Millilitres[]>>;
  /** Those that rose most above what they began with, at their fullest. */
  readonly peak: readonly { readonly place: PlaceId; readonly ml: Millilitres; readonly second: Seconds }[];
}

const traceMl = 0.01;
const mostPeaks = 10;
const breathed: readonly PlaceId[] = ['abdominal-deep.mid', 'thoracic-duct.mid', 'terminus.left', 'terminus.right'];

/** A step as numbers of the graph: which groups and edges it opens, and which edges its strokes run over. */
interface Hand {
  readonly endsAt: Seconds;
  readonly strokesPerSecond: number;
  readonly clears: readonly number[];
  readonly prepares: readonly number[];
  readonly strokes: readonly number[];
  readonly softens: number;
}

/**
 * Follows fluid through a body while a course is worked, in steps of half a second: first the hands open, then fluid
 * flows along all edges at once, then what is open begins to close. What is drained and what is inside always come to
 * what was there at the start.
 * Errors: none; places and figures have been read before.
 */
export function flowOf({ graph, steps, start, seconds, every }: FlowCase): Flow {
  const state = new FlowState(graph, start);
  const hands = handsOf(graph, steps);
  const ticks = Math.round(seconds / figures.stepSeconds);
  const series: FlowEntry[] = [];
  const shots: Float64Array[] = [];
  const record = (second: Seconds) => {
    series.push({ second, drainedMl: state.drainedMl, insideMl: state.insideMl() });
    shots.push(state.volumeMl.slice());
  };
  record(0);
  let at = 0;
  for (let tick = 0; tick < ticks; tick += 1) {
    const begun = tick * figures.stepSeconds;
    while (at < hands.length && (hands[at] as Hand).endsAt <= begun) {
      const softened = (hands[at] as Hand).softens;
      if (softened >= 0) state.isSoftened[softened] = 1;
      at += 1;
    }
    state.advance(hands[at]);
    const now = (tick + 1) * figures.stepSeconds;
    state.notePeaks(now);
    if (now % every === 0 && tick + 1 < ticks) record(now);
  }
  record(ticks * figures.stepSeconds);
  return told(state, series, shots);
}

function handsOf(graph: FlowGraph, steps: readonly FlowStep[]): readonly Hand[] {
  let endsAt = 0;
  return steps.map((step): Hand => {
    endsAt += step.seconds;
    const { kind, place, toward, via } = step;
    const path = toward === null ? [] : [place, ...via, toward];
    const along = path.slice(1).flatMap((to, i) => {
      const from = path[i] ?? '';
      const edge = graph.edgeOf.get(edgeName(from, to));
      return edge !== undefined && (graph.from[edge] ?? 0) < graph.territoryCount ? [edge] : [];
    });
    const groups = kind === 'breathe' ? breathed : kind === 'clear' || kind === 'close' ? [place] : [];
    return {
      endsAt,
      strokesPerSecond: step.seconds > 0 ? (step.repetitions * step.placements) / step.seconds : 0,
      clears: groups.flatMap((id) => {
        const number = graph.numberOf.get(id);
        return number !== undefined && number >= graph.territoryCount && !graph.isBlocked[number] ? [number] : [];
      }),
      prepares: kind === 'prepare' ? along.slice(0, 1) : [],
      strokes: kind === 'drain' || kind === 'carry' || kind === 'return' ? along : [],
      softens: kind === 'soften' ? (graph.numberOf.get(place) ?? -1) : -1,
    };
  });
}

class FlowState {
  readonly volumeMl: Float64Array;
  readonly startMl: Float64Array;
  readonly isSoftened: Uint8Array;
  readonly peakMl: Float64Array;
  readonly peakSecond: Float64Array;
  drainedMl = 0;
  readonly #openness: Float64Array;
  readonly #edgeOpenness: Float64Array;
  readonly #strokes: Float64Array;
  readonly #amounts: Float64Array;
  /** Edges along which something flows in this step. */
  readonly #moving: Int32Array;
  /** What leaves each place; then the share of it that there is. */
  readonly #leaving: Float64Array;

  constructor(
    readonly graph: FlowGraph,
    start: StartMl,
  ) {
    const { ids, from } = graph;
    this.volumeMl = Float64Array.from(ids, (id) => start[id] ?? 0);
    this.startMl = this.volumeMl.slice();
    this.peakMl = this.volumeMl.slice();
    this.peakSecond = new Float64Array(ids.length);
    this.isSoftened = new Uint8Array(ids.length);
    this.#openness = graph.restOpenness.slice();
    this.#edgeOpenness = new Float64Array(from.length);
    this.#strokes = new Float64Array(from.length);
    this.#amounts = new Float64Array(from.length);
    this.#moving = new Int32Array(from.length);
    this.#leaving = new Float64Array(ids.length);
  }

  advance(hand: Hand | undefined): void {
    if (hand) this.#open(hand);
    this.#flow(hand);
    this.#fade();
  }

  #open({ strokesPerSecond, clears, prepares, strokes }: Hand): void {
    const dt = figures.stepSeconds;
    const opened = (share: number, by: number) => share + (1 - share) * Math.min(1, by * strokesPerSecond * dt);
    for (const group of clears) this.#openness[group] = opened(this.#openness[group] ?? 0, figures.openedByClearing);
    for (const edge of prepares)
      this.#edgeOpenness[edge] = opened(this.#edgeOpenness[edge] ?? 0, figures.openedByClearing);
    for (const edge of strokes)
      this.#edgeOpenness[edge] = opened(this.#edgeOpenness[edge] ?? 0, figures.openedByStroking);
  }

  /** All edges at once, from what lay there before. */
  #flow(hand: Hand | undefined): void {
    const { from, to, territoryCount, capacityMl, isTerminus, isThickened } = this.graph;
    const { ratePerSecond: rates, thickened, stepSeconds: dt } = figures;
    const [volumeMl, openness, ways, strokes] = [this.volumeMl, this.#openness, this.#edgeOpenness, this.#strokes];
    const [amounts, moving, leaving] = [this.#amounts, this.#moving, this.#leaving];
    for (const edge of hand?.strokes ?? []) strokes[edge] = hand?.strokesPerSecond ?? 0;
    leaving.fill(0);
    let count = 0;
    for (let e = 0; e < from.length; e += 1) {
      const i = from[e] as number;
      const volume = volumeMl[i] as number;
      if (volume <= 0) continue;
      const isSkin = i < territoryCount;
      let rate = isSkin ? rates.openWay * (ways[e] as number) + rates.stroke * (strokes[e] as number) : rates.group;
      if (rate === 0) continue;
      if (isSkin && isThickened[i]) rate *= this.isSoftened[i] ? thickened.after : thickened.before;
      const j = to[e] as number;
      const open = j >= territoryCount ? (openness[j] as number) : 1;
      const room = isTerminus[j] ? 1 : Math.max(0, 1 - (volumeMl[j] as number) / (capacityMl[j] as number));
      const amount = rate * volume * open * room * dt;
      amounts[e] = amount;
      leaving[i] = (leaving[i] as number) + amount;
      moving[count] = e;
      count += 1;
    }
    // Nobody gives more than is there, whatever the hands are said to do.
    for (let i = 0; i < volumeMl.length; i += 1)
      leaving[i] = Math.min(1, (volumeMl[i] as number) / Math.max(leaving[i] as number, Number.MIN_VALUE));
    for (let k = 0; k < count; k += 1) {
      const e = moving[k] as number;
      const [i, j] = [from[e] as number, to[e] as number];
      const amount = (amounts[e] as number) * (leaving[i] as number);
      volumeMl[i] = Math.max(0, (volumeMl[i] as number) - amount);
      if (isTerminus[j]) this.drainedMl += amount;
      else volumeMl[j] = (volumeMl[j] as number) + amount;
    }
    for (const edge of hand?.strokes ?? []) strokes[edge] = 0;
  }

  #fade(): void {
    const { restOpenness, territoryCount } = this.graph;
    const share = figures.stepSeconds / figures.fadingSeconds;
    for (let m = territoryCount; m < restOpenness.length; m += 1) {
      const [open, rest] = [this.#openness[m] as number, restOpenness[m] as number];
      this.#openness[m] = open - (open - rest) * share;
    }
    for (let e = 0; e < this.#edgeOpenness.length; e += 1)
      this.#edgeOpenness[e] = (this.#edgeOpenness[e] as number) * (1 - share);
  }

  notePeaks(second: Seconds): void {
    for (let i = 0; i < this.volumeMl.length; i += 1) {
      if ((this.volumeMl[i] as number) <= (this.peakMl[i] as number)) continue;
      this.peakMl[i] = this.volumeMl[i] as number;
      this.peakSecond[i] = second;
    }
  }

  insideMl(): Millilitres {
    return this.volumeMl.reduce((sum, ml) => sum + ml, 0);
  }
}

function told(state: FlowState, series: readonly FlowEntry[], shots: readonly Float64Array[]): Flow {
  const { ids } = state.graph;
  const numbered = ids.map((id, i) => ({ id, i }));
  const rise = (i: number) => (state.peakMl[i] ?? 0) - (state.startMl[i] ?? 0);
  return {
    startMl: state.startMl.reduce((sum, ml) => sum + ml, 0),
    series,
    left: Object.fromEntries(
      numbered.flatMap(({ id, i }) => ((state.volumeMl[i] ?? 0) > 0 ? [[id, state.volumeMl[i] ?? 0]] : [])),
    ),
    places: Object.fromEntries(
      numbered.flatMap(({ id, i }) =>
        (state.peakMl[i] ?? 0) > traceMl ? [[id, shots.map((shot) => shot[i] ?? 0)]] : [],
      ),
    ),
    peak: numbered
      .filter(({ i }) => rise(i) > 0)
      .toSorted((a, b) => rise(b.i) - rise(a.i) || (a.id < b.id ? -1 : 1))
      .slice(0, mostPeaks)
      .map(({ id, i }) => ({ place: id, ml: state.peakMl[i] ?? 0, second: state.peakSecond[i] ?? 0 })),
  };
}
