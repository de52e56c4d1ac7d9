import type { Minutes } from '../quantities';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { ReadCase } from './case';
import type { Route } from './routes';
import { basinPlacements, repetitionRanges, stepSeconds } from './step';
import type { Survey } from './survey';
import { formatCost, rejectionInWords, wayInWords } from './wording';
import { drainageSays } from './drainage.says';

/** A way that the rules allow for what has lost its own, chosen or not. */
export interface Candidate {
  readonly to: PlaceId;
  readonly cost: number;
  /** Scars that it crosses: none, or it would not be lawful. */
  readonly crosses: readonly (readonly PlaceId[])[];
  /** Minutes that it takes at the usual repetitions: opening, preparing, carrying, returning and closing. */
  readonly minutes: Minutes;
  readonly chosen: boolean;
  readonly why: string;
}

/** Every lawful way, cheapest first, with what it costs. */
export function candidatesOf(anatomy: Anatomy, survey: Survey): readonly Candidate[] {
  const chosen = new Set(survey.exits.filter(({ rerouted }) => rerouted).map(({ to }) => to));
  return survey.lawful.map((route) => ({
    to: route.to,
    cost: route.cost,
    crosses: [],
    minutes: Math.round((secondsOfWay(anatomy, survey, route) / 60) * 10) / 10,
    chosen: chosen.has(route.to),
    why: whyOf(anatomy, survey, route, chosen.has(route.to)),
  }));
}

function whyOf(anatomy: Anatomy, survey: Survey, route: Route, isChosen: boolean): string {
  const way = wayInWords(anatomy, route.path);
  const rejection = survey.rejected.find(({ to }) => to === route.to);
  if (isChosen) return drainageSays.ledAboutHandsWidths(way, formatCost(route.cost));
  return rejection ? rejectionInWords(anatomy, rejection) : drainageSays.lawful(way);
}

/** What a way adds to a course at the usual repetitions (s). */
function secondsOfWay(anatomy: Anatomy, survey: Survey, { path }: Route): number {
  const places = path.slice(0, -1).filter((id) => anatomy.territories.has(id));
  const prepared = places.reduce(
    (sum, id) =>
      sum + stepSeconds('prepare', repetitionRanges.prepare.usual, anatomy.territories.get(id)?.placements ?? 1, 0),
    0,
  );
  const limb = survey.limbs.find(({ root }) => root === path[0]);
  const segments = limb ? segmentsDrained(anatomy, survey, limb.limb) : 0;
  const carried = segments * stepSeconds('carry', repetitionRanges.carry.usual, 1, places.length);
  const clear = stepSeconds('clear', repetitionRanges.clear.usual, basinPlacements, 0);
  const close = stepSeconds('close', repetitionRanges.close.usual, basinPlacements, 0);
  return clear + prepared + carried + stepSeconds('return', 1, 1, places.length) + close;
}

const segmentsDrained = (anatomy: Anatomy, survey: Survey, limb: string) =>
  new Set(
    [...survey.routes.keys()].flatMap((id) => {
      const territory = anatomy.territories.get(id);
      return territory?.segment !== undefined && `${territory.part}.${territory.side}` === limb
        ? [territory.segment]
        : [];
    }),
  ).size;

/** Why a group that the therapist names may not be used; undefined when it may. */
export function whyNotUsed(anatomy: Anatomy, read: ReadCase, survey: Survey, id: PlaceId): string | undefined {
  if (survey.lawful.some(({ to }) => to === id)) return undefined;
  if (survey.rerouted.size === 0) return drainageSays.nothingHasToBeLedRound;
  const rejection = survey.rejected.find(({ to }) => to === id);
  if (rejection) return rejectionInWords(anatomy, rejection);
  const cause = read.hindrances.blocked.get(id);
  if (cause) return rejectionInWords(anatomy, { to: id, cause });
  return drainageSays.noLawfulWayLeadsThereFrom;
}
