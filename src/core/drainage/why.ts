import { type Anatomy, getTerritory, limbOf, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import { assertNever } from '../result';
import type { ReadCase } from './case';
import { edgeKey } from './hindrance';
import type { Route } from './routes';
import { lighterOf } from '../screening/limits';
import type { Pressure } from '../screening/tables';
import { allowedPressure } from './screened';
import type { StepKind } from './step';
import { list, wayInWords } from './wording';
import { shortLabel, theLabel } from '../anatomy/place-labels';
import { capitalise } from '../wording/capitalise';

/** Why a step stands where it stands, before it is put into words. */
export type Why =
  | {
      readonly kind:
        | 'breathe-first'
        | 'breathe-last'
        | 'terminus'
        | 'terminus-again'
        | 'turn-over'
        | 'turn-back'
        | 'turn-aside'
        | 'clear-sound'
        | 'stimulate'
        | 'soften'
        | 'close'
        | 'close-terminus';
    }
  | {
      readonly kind: 'clear';
      readonly exit: (Route & { readonly rerouted: boolean }) | undefined;
      readonly sound: boolean;
    }
  | { readonly kind: 'prepare' | 'return'; readonly to: PlaceId }
  | { readonly kind: 'carry'; readonly from: PlaceId; readonly to: PlaceId }
  | { readonly kind: 'drain'; readonly route: Route; readonly rerouted: boolean };

/** The one sentence under a step. */
export function whyInWords(anatomy: Anatomy, place: PlaceId, toward: PlaceId | null, why: Why): string {
  const here = theLabel(anatomy, place);
  switch (why.kind) {
    case 'breathe-first':
      return 'Slow belly breaths move the deep trunk, which takes all that comes from below the waist.';
    case 'breathe-last':
      return 'The same slow breaths at the end draw on what has been brought to the trunk.';
    case 'terminus':
      return 'Everything ends here: with this door shut, all other work only piles fluid up.';
    case 'terminus-again':
      return 'One limb has emptied into it: it is opened again before the other sends more.';
    case 'turn-over':
      return 'What comes next lies on the back; everything that can be done from here is done.';
    case 'turn-aside':
      return 'What comes next lies on the back; face down is out for this client, so it is worked on the side.';
    case 'turn-back':
      return 'Opening and closing are done lying on the back.';
    case 'clear-sound':
      return 'The sound side first: it shares the deep trunk with the side that needs help.';
    case 'clear': {
      const sound = why.sound ? 'Sound side first. ' : '';
      if (!why.exit) return `${sound}Opened before any stroke is directed to ${here}.`;
      const use = why.exit.rerouted ? 'it is the way out' : 'it is the natural way out';
      return `${sound}Must be open before anything is led ${wayInWords(anatomy, why.exit.path)}: ${use}.`;
    }
    case 'stimulate':
      return 'What is left of these nodes may take a little, now that the other ways are open. Once, gently; nothing is led here.';
    case 'soften':
      return `${capitalise(here)} is thickened: soften it first, or its fluid will not let go.`;
    case 'prepare':
      return `Part of the way to ${theLabel(anatomy, why.to)}: emptied first, so that what follows finds room.`;
    case 'drain': {
      const goal = toward ? theLabel(anatomy, toward) : 'the way out';
      const near =
        getTerritory(anatomy, place).segment === undefined
          ? 'Nearest to the way out comes first'
          : 'The parts nearer to the trunk are empty now';
      return why.rerouted && toward
        ? `${near}, so this goes on to ${goal} and out to ${theLabel(anatomy, why.route.to)}.`
        : `${near}, so this goes its natural way, to ${goal}.`;
    }
    case 'carry':
      return `What has come down from the ${segmentWord(anatomy, why.from)} lies at ${here}: carry it on to ${theLabel(anatomy, why.to)} before it settles.`;
    case 'return':
      return `One lighter pass over the whole way to ${theLabel(anatomy, why.to)}, to leave it open.`;
    case 'close':
      return 'Cleared once more, so that what was brought here can go on after the visit.';
    case 'close-terminus':
      return 'The last door is opened once more before the end.';
    default:
      return assertNever(why);
  }
}

const segmentWords: Readonly<Record<string, readonly string[]>> = {
  leg: [
    'seat',
    'upper thigh',
    'lower thigh',
    'knee',
    'upper shin and calf',
    'lower shin and calf',
    'ankle',
    'foot',
    'toes',
  ],
  arm: ['shoulder', 'shoulder cap', 'upper arm', 'elbow', 'forearm', 'wrist', 'hand', 'fingers'],
};

function segmentWord(anatomy: Anatomy, id: PlaceId): string {
  const territory = getTerritory(anatomy, id);
  const limb = territory.part === 'arm' ? 'arm' : 'leg';
  return segmentWords[limb]?.[territory.segment ?? 0] ?? 'limb';
}

/** Lymph work is feather to light: lighter moves more. */
export function pressureFor(read: ReadCase, kind: StepKind, touched: readonly PlaceId[]): Pressure {
  const usual = usualPressure(read, kind, touched);
  const allowed = allowedPressure(read.screened, touched);
  return allowed === undefined ? usual : lighterOf(usual, allowed);
}

function usualPressure(read: ReadCase, kind: StepKind, touched: readonly PlaceId[]): Pressure {
  if (touched.some((id) => read.hindrances.irradiated.has(id))) return 'feather';
  if (kind === 'soften') return 'light';
  const isWellBody = read.purpose === 'wellness' && (kind === 'drain' || kind === 'prepare' || kind === 'carry');
  return isWellBody ? 'light' : 'feather';
}

/** What to look out for while doing it; short enough to be read at the table. */
export function cautionsFor(
  anatomy: Anatomy,
  read: ReadCase,
  kind: StepKind,
  touched: readonly PlaceId[],
  toward: PlaceId | null,
): readonly string[] {
  const { hindrances } = read;
  const cautions: string[] = [];
  const [place = ''] = touched;
  if (touched.some((id) => hindrances.ports.has(id))) cautions.push('Stay a hand’s width away from the port.');
  if (touched.some((id) => hindrances.irradiated.has(id))) cautions.push('Irradiated skin: feather light, no rubbing.');
  const scars = touched.flatMap((id) =>
    [...hindrances.scarred]
      .filter((key) => key.startsWith(`${id}>`))
      .map((key) => shortLabel(anatomy, key.slice(id.length + 1))),
  );
  if (scars.length > 0) cautions.push(`Stop before the scar towards the ${list([...new Set(scars)])}.`);
  const near = neighbours(anatomy, touched).filter((id) => hindrances.closed.has(id) && !touched.includes(id));
  const named = (ids: readonly PlaceId[]) => list(ids.map((id) => shortLabel(anatomy, id)));
  const wounds = near.filter((id) => !hindrances.keptOff.has(id));
  const keptOff = near.filter((id) => hindrances.keptOff.has(id));
  if (wounds.length > 0) cautions.push(`Keep off the open skin at the ${named(wounds)}.`);
  if (keptOff.length > 0) cautions.push(`Keep off the ${named(keptOff)}.`);
  const territory = anatomy.territories.get(place);
  if (!territory || kind === 'clear' || kind === 'close') return cautions;
  const home = territory.home;
  if (kind === 'drain' && hindrances.blocked.has(home) && limbOf(territory) && (territory.segment ?? 9) <= 2) {
    cautions.push(`Never towards ${theLabel(anatomy, home)}.`);
  }
  if (territory.name === 'breast')
    cautions.push('Under and over the breast towards the armpit, never towards the nipple.');
  if (territory.name === 'knee-front') cautions.push('Round the edges to the side, not over the kneecap.');
  if (territory.name === 'knee-crease') cautions.push('Barely any weight behind the knee.');
  if (territory.name === 'toes' || territory.name === 'fingers')
    cautions.push('Along the two sides of each, not down the middle.');
  if (territory.name === 'foot-top' || territory.name === 'sole') cautions.push('Lead it behind the ankle bones.');
  if (territory.name === 'neck-front') cautions.push('Beside the windpipe, one side at a time.');
  if (toward && hindrances.scarred.has(edgeKey(place, toward))) cautions.push('Do not cross the scar.');
  return cautions;
}

function neighbours(anatomy: Anatomy, touched: readonly PlaceId[]): readonly PlaceId[] {
  const near = new Set<PlaceId>();
  for (const id of touched) {
    for (const edge of anatomy.edgesInto.get(id) ?? []) if (anatomy.territories.has(edge.from)) near.add(edge.from);
  }
  return [...near].sort();
}

/** Which way the hand works on a node group, for the line under its name. */
export function clearingDirection(id: PlaceId): string {
  switch (nameOf(id)) {
    case 'terminus':
      return 'flat fingers, down and in behind the collarbone';
    case 'cervical':
      return 'flat hands, down the side of the neck';
    case 'axillary':
      return 'flat hand in the hollow, straight up';
    case 'inguinal':
      return 'flat hand below the fold, up and in';
    case 'popliteal':
      return 'fingertips in the crease, straight up';
    case 'cubital':
      return 'thumb in the crease, up the inner arm';
    case 'parasternal':
      return 'fingertips beside the breastbone, in place';
    case 'abdominal-deep':
      return 'slow, belly first';
    default:
      return `small half circles, down the ${sideOf(id)} side of the neck`;
  }
}
