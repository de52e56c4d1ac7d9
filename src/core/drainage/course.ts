import type { DraftStep } from './draft-step';
import { type Anatomy, getTerritory, limbOf, mirrorOf, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { Pressure } from '../screening/tables';
import type { ReadCase } from './case';
import { drainOrder, limbsThatComeLater, segmentOf } from './drain-order';
import { isNeckExcluded } from './hindrance';
import { distanceToTerminus, nextGroup } from './outlets';
import type { Route } from './routes';
import type { RuleId } from './rules';
import {
  againRange,
  basinPlacements,
  kneeWayRange,
  type Range,
  repetitionRanges,
  type StepKind,
  thickenedDrainRange,
} from './step';
import { type PlacedStep, withTurns } from './turns';
import { affectedSides, neededGroups, type ReroutedLimb, type Survey } from './survey';
import { pressureFor, type Why } from './why';

export interface CourseOptions {
  readonly withReturn: boolean;
}

/** Writes the course of a case, from the drain outwards. */
export function writeCourse(
  anatomy: Anatomy,
  read: ReadCase,
  survey: Survey,
  options: CourseOptions,
): readonly PlacedStep[] {
  return new CourseWriter(anatomy, read, survey, options).write();
}

const kneeSegment = 3;

/** A limb, with the seat counted to its leg. */
function limbWithSeat(anatomy: Anatomy, id: PlaceId): string | undefined {
  const territory = getTerritory(anatomy, id);
  return limbOf(territory) ?? (territory.name === 'buttock' ? `leg.${territory.side}` : undefined);
}

class CourseWriter {
  readonly #steps: DraftStep[] = [];
  readonly #kneesPrepared = new Set<PlaceId>();

  constructor(
    private readonly anatomy: Anatomy,
    private readonly read: ReadCase,
    private readonly survey: Survey,
    private readonly options: CourseOptions,
  ) {}

  write(): readonly PlacedStep[] {
    this.#open();
    this.#clearGroups();
    this.#prepareWays();
    this.#stimulateRemoved();
    const order = drainOrder(this.anatomy, this.survey);
    for (const id of order)
      if (this.read.hindrances.thickened.has(id)) this.#add('soften', id, null, { why: { kind: 'soften' } });
    this.#drain(order);
    if (this.options.withReturn) this.#returnOverTheWays();
    this.#close();
    return withTurns(this.anatomy, this.read, this.survey, this.#steps);
  }

  #open(): void {
    const breathe = () =>
      this.#add('breathe', 'abdominal-deep.mid', null, {
        rules: ['deep-before-lower'],
        why: { kind: 'breathe-first' },
      });
    if (this.read.school.start === 'breath-first') breathe();
    for (const id of this.#openTermini()) {
      this.#add('clear', id, null, { rules: ['start-at-terminus'], why: { kind: 'terminus' }, pair: 'open-terminus' });
    }
    if (this.read.school.start === 'neck-first') breathe();
  }

  #openTermini(): readonly PlaceId[] {
    const { hindrances } = this.read;
    return (['left', 'right'] as const)
      .filter((side) => !isNeckExcluded(hindrances, side) && !hindrances.blocked.has(`terminus.${side}`))
      .map((side) => `terminus.${side}`);
  }

  /** Sound side first, then nearest to the terminus, then by name. */
  #clearGroups(): void {
    const affected = affectedSides(this.read, this.survey);
    const isSound = (id: PlaceId) => affected.size === 1 && !affected.has(sideOf(id));
    const groups = [...neededGroups(this.anatomy, this.read, this.survey)].sort(
      (a, b) =>
        Number(isSound(b)) - Number(isSound(a)) ||
        distanceToTerminus(this.anatomy, a) - distanceToTerminus(this.anatomy, b) ||
        (a < b ? -1 : 1),
    );
    for (const id of groups) {
      const exit = this.survey.exits.find((candidate) => candidate.to === id);
      const rules: RuleId[] = ['basin-before-skin'];
      if (isSound(id)) rules.push('sound-side-first');
      const why: Why = isSound(id) && !exit ? { kind: 'clear-sound' } : { kind: 'clear', exit, sound: isSound(id) };
      const pair =
        groups.includes(mirrorOf(id)) && isSound(id) === isSound(mirrorOf(id)) ? `open-${nameOf(id)}` : undefined;
      this.#add('clear', id, this.#groupAhead(id), { rules, why, pair });
    }
  }

  /** The next group on the way to the veins, when this course has opened it by hand. */
  #groupAhead(id: PlaceId): PlaceId | null {
    const next = nextGroup(this.anatomy, id);
    return next && this.#steps.some((step) => step.kind === 'clear' && step.place === next) ? next : null;
  }

  #prepareWays(): void {
    const prepared = new Set<PlaceId>(this.survey.routes.keys());
    const prepareAlong = (route: Route, from: number) => {
      for (let i = route.path.length - 2; i >= from; i -= 1) {
        const id = route.path[i] as PlaceId;
        if (prepared.has(id) || this.anatomy.basins.has(id)) continue;
        prepared.add(id);
        const toward = route.path[i + 1] as PlaceId;
        const rules: RuleId[] = ['route-before-region', 'always-towards', 'one-direction'];
        if (nameOf(id) === 'knee-outer' || nameOf(id) === 'knee-inner') rules.push('bypass-knee');
        this.#add('prepare', id, toward, { rules, why: { kind: 'prepare', to: route.to } });
      }
    };
    for (const limb of this.survey.limbs) {
      for (const exit of limb.exits) prepareAlong(exit, 0);
      this.#prepareSeat(limb, prepared);
    }
    for (const exit of this.survey.exits) if (exit.rerouted) prepareAlong(exit, 1);
    const ways = [...this.survey.routes.values()].sort(
      (a, b) => a.cost - b.cost || ((a.path[0] ?? '') < (b.path[0] ?? '') ? -1 : 1),
    );
    for (const way of ways) prepareAlong(way, 1);
  }

  /** The seat is the widest way out of a leg by the flank: it is prepared before the thigh, even where it is in focus. */
  #prepareSeat({ seat, exits }: ReroutedLimb, prepared: Set<PlaceId>): void {
    if (seat === undefined) return;
    const flank = `flank-lower.${sideOf(seat)}`;
    prepared.add(seat);
    this.#add('prepare', seat, flank, {
      rules: ['route-before-region', 'always-towards', 'one-direction'],
      why: { kind: 'prepare', to: exits.find(({ path }) => path.includes(flank))?.to ?? flank },
    });
  }

  /** The way round the outer side of the knee, at length, before the first stroke below it. */
  #prepareKnee(id: PlaceId): void {
    const territory = getTerritory(this.anatomy, id);
    const limb = this.#reroutedLimbOf(id);
    if (!limb || territory.part !== 'leg' || (territory.segment ?? 0) <= kneeSegment) return;
    const path = this.survey.routes.get(id)?.path ?? [];
    const at = path.findIndex((place) => nameOf(place) === 'knee-outer');
    const [knee, toward] = [path[at], path[at + 1]];
    if (knee === undefined || toward === undefined || this.#kneesPrepared.has(knee)) return;
    this.#kneesPrepared.add(knee);
    const placements = this.anatomy.territories.get(knee)?.placements ?? 1;
    this.#add('prepare', knee, toward, {
      rules: ['bypass-knee', 'route-before-region', 'always-towards', 'one-direction'],
      why: { kind: 'prepare', to: path.at(-1) ?? toward },
      range: kneeWayRange(placements),
    });
  }

  /** Two limbs have emptied into the same door: it is opened again before the second. */
  #openAgain(): void {
    for (const id of this.#openTermini())
      this.#add('clear', id, null, {
        rules: ['start-at-terminus'],
        why: { kind: 'terminus-again' },
        pair: 'open-again',
        range: againRange,
      });
  }

  #stimulateRemoved(): void {
    if (this.read.school.removedSide !== 'reroute-and-stimulate') return;
    const homes = new Set([...this.survey.rerouted].map((id) => getTerritory(this.anatomy, id).home));
    for (const id of [...homes].sort()) {
      if (this.read.hindrances.blocked.get(id) !== 'removed' || this.read.hindrances.irradiated.has(id)) continue;
      this.#add('clear', id, null, { rules: ['stimulate-last'], why: { kind: 'stimulate' } });
    }
  }

  #drain(order: readonly PlaceId[]): void {
    const turns = new Map(this.survey.limbs.map((limb) => [limb.limb, takeTurns(limb.exits)]));
    const later = limbsThatComeLater(this.anatomy, this.survey);
    const begun = new Set<string>();
    order.forEach((id, index) => {
      const own = limbWithSeat(this.anatomy, id);
      if (own && later.has(own) && !begun.has(own) && segmentOf(this.anatomy, this.survey, id) > 0) {
        begun.add(own);
        this.#openAgain();
      }
      this.#prepareKnee(id);
      this.#drainOne(id);
      const limb = this.#reroutedLimbOf(id);
      if (!limb) return;
      const next = order[index + 1];
      const endsSegment =
        next === undefined || segmentKey(this.anatomy, this.survey, next) !== segmentKey(this.anatomy, this.survey, id);
      const exit = endsSegment ? turns.get(limb.limb)?.() : undefined;
      if (exit) {
        this.#addLong('carry', exit, {
          rules: ['always-towards', 'one-direction'],
          why: { kind: 'carry', from: id, to: exit.to },
        });
      }
    });
  }

  #drainOne(id: PlaceId): void {
    const route = this.survey.routes.get(id) as Route;
    const territory = getTerritory(this.anatomy, id);
    const rules: RuleId[] = ['near-before-far', 'always-towards'];
    if (this.read.school.hand !== 'roller') rules.push('one-direction');
    if (territory.segment === 3 && territory.part === 'leg') rules.push('bypass-knee');
    if (['foot-top', 'heel', 'sole', 'toes', 'fingers', 'ankle-inner', 'ankle-outer'].includes(territory.name))
      rules.push('behind-ankle');
    if (territory.name === 'breast') rules.push('away-from-nipple');
    if (this.read.hindrances.thickened.has(id)) rules.push('soften-thickened');
    const range = this.read.hindrances.thickened.has(id) ? thickenedDrainRange : repetitionRanges.drain;
    this.#add('drain', id, route.path[1] ?? null, {
      rules,
      why: { kind: 'drain', route, rerouted: this.survey.rerouted.has(id) },
      range,
    });
  }

  #reroutedLimbOf(id: PlaceId): ReroutedLimb | undefined {
    if (!this.survey.rerouted.has(id)) return undefined;
    const key = limbWithSeat(this.anatomy, id);
    return this.survey.limbs.find((limb) => limb.limb === key);
  }

  #returnOverTheWays(): void {
    const travelled = [...this.survey.routes.values(), ...this.survey.limbs.flatMap(({ exits }) => exits.slice(1))];
    const placeOf = this.#placesOfLimbs();
    const rank = ({ path: [start = ''] }: Route) =>
      placeOf.get(limbWithSeat(this.anatomy, start) ?? '') ?? placeOf.size;
    travelled.sort((a, b) => rank(a) - rank(b) || b.cost - a.cost || ((a.path[0] ?? '') < (b.path[0] ?? '') ? -1 : 1));
    const done = new Set<PlaceId>();
    for (const { path, to } of travelled) {
      const [start = ''] = path;
      if (done.has(start)) continue;
      const end = path.findIndex((place, i) => i > 0 && (done.has(place) || this.anatomy.basins.has(place)));
      if (end < 1) continue;
      const stretch = path.slice(0, end + 1);
      for (const place of stretch.slice(0, -1)) done.add(place);
      this.#addLong(
        'return',
        { to: stretch.at(-1) ?? to, path: stretch, cost: 0 },
        { rules: ['always-towards'], why: { kind: 'return', to } },
      );
    }
  }

  /**
   * Where two limbs were drained, each is gone over to its end, as in draining: the last one first, then the one across,
   * so that the therapist goes round the table once. Everywhere else the farthest comes first.
   */
  #placesOfLimbs(): ReadonlyMap<string, number> {
    const limbs = [
      ...new Set(drainOrder(this.anatomy, this.survey).flatMap((id) => limbWithSeat(this.anatomy, id) ?? [])),
    ].toReversed();
    if (new Set(limbs.map(sideOf)).size < 2) return new Map();
    const placed: string[] = [];
    while (placed.length < limbs.length) {
      const left = limbs.filter((limb) => !placed.includes(limb));
      const part = left[0] && nameOf(left[0]);
      const next =
        left.find((limb) => nameOf(limb) === part && sideOf(limb) === sideOf(placed.at(-1) ?? '')) ?? left[0];
      if (next) placed.push(next);
    }
    return new Map(placed.map((limb, i) => [limb, i]));
  }

  #close(): void {
    const groups = new Set<PlaceId>();
    for (const exit of this.survey.exits) {
      for (const id of exit.path) if (id === exit.to || nameOf(id) === 'cervical') groups.add(id);
    }
    const farFirst = [...groups]
      .filter((id) => nameOf(id) !== 'terminus')
      .sort((a, b) => distanceToTerminus(this.anatomy, b) - distanceToTerminus(this.anatomy, a) || (a < b ? -1 : 1));
    for (const id of farFirst)
      this.#add('close', id, this.#groupAhead(id), { rules: ['close-with-breath'], why: { kind: 'close' } });
    for (const id of this.#openTermini()) {
      this.#add('close', id, null, {
        rules: ['close-with-breath'],
        why: { kind: 'close-terminus' },
        pair: 'close-terminus',
      });
    }
    this.#add('breathe', 'abdominal-deep.mid', null, { rules: ['close-with-breath'], why: { kind: 'breathe-last' } });
  }

  #addLong(
    kind: 'carry' | 'return',
    exit: Route,
    input: { readonly rules: readonly RuleId[]; readonly why: Why },
  ): void {
    const [place = ''] = exit.path;
    this.#add(kind, place, exit.to, { ...input, via: exit.path.slice(1, -1) });
  }

  #add(
    kind: StepKind,
    place: PlaceId,
    toward: PlaceId | null,
    input: {
      readonly rules?: readonly RuleId[];
      readonly why: Why;
      readonly via?: readonly PlaceId[];
      readonly pair?: string | undefined;
      readonly range?: Range;
    },
  ): void {
    const { hindrances } = this.read;
    const via = input.via ?? [];
    const touched = [place, ...via];
    const rules = new Set<RuleId>(input.rules ?? []);
    if (kind === 'soften') rules.add('soften-thickened');
    if (touched.some((id) => hindrances.irradiated.has(id))) rules.add('feather-on-irradiated');
    if (touched.some((id) => hindrances.ports.has(id))) rules.add('around-port');
    const pressure: Pressure = pressureFor(this.read, kind, touched);
    const isLong = kind === 'carry' || kind === 'return';
    const placements =
      isLong || kind === 'breathe' ? 1 : (this.anatomy.territories.get(place)?.placements ?? basinPlacements);
    this.#steps.push({
      kind,
      place,
      toward,
      via,
      pressure,
      placements,
      range: input.range ?? repetitionRanges[kind],
      stretches: isLong ? touched.length : 0,
      rules: [...rules],
      because: input.why,
      ...(input.pair ? { pair: input.pair } : {}),
    });
  }
}

function segmentKey(anatomy: Anatomy, survey: Survey, id: PlaceId): string {
  const territory = getTerritory(anatomy, id);
  return `${territory.part === 'trunk' ? 'leg' : territory.part}.${territory.side} ${segmentOf(anatomy, survey, id)}`;
}

/**
 * Exits in turn by their shares (inverse to cost): each call credits every exit with its share and serves the one with
 * the largest remainder, the cheaper one among equals.
 */
export function takeTurns(exits: readonly Route[]): () => Route | undefined {
  const total = exits.reduce((sum, exit) => sum + 1 / exit.cost, 0);
  const credit = exits.map(() => 0);
  return () => {
    let best = 0;
    exits.forEach((exit, i) => {
      credit[i] = (credit[i] ?? 0) + 1 / exit.cost / total;
      if ((credit[i] ?? 0) > (credit[best] ?? 0) + 1e-9) best = i;
    });
    credit[best] = (credit[best] ?? 0) - 1;
    return exits[best];
  };
}
