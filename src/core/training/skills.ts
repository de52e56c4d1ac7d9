import type { DrillKind } from './kinds';
import { trainingSays } from './training.says';

/** What drills teach, by kind: each is one card of a person, and one pebble of what they know. */
const skillBook = {
  order: {
    'outlet-first': trainingSays.outletFirst,
    'breath-before-groin': trainingSays.breathBeforeGroin,
    'open-before-stroke': trainingSays.openBeforeStroke,
    'way-before-place': trainingSays.wayBeforePlace,
    'near-before-far': trainingSays.nearBeforeFar,
    'sound-side-first': trainingSays.soundSideFirst,
    'closed-nodes': trainingSays.closedNodes,
    'gentle-last': trainingSays.gentleLast,
    'soften-first': trainingSays.softenFirst,
    'close-at-the-end': trainingSays.closeAtTheEnd,
    'nothing-left-out': trainingSays.nothingLeftOut,
  },
  route: {
    'round-closed': trainingSays.roundClosed,
    'round-scars': trainingSays.roundScars,
    'nearest-way': trainingSays.nearestWay,
    'place-by-place': trainingSays.placeByPlace,
    'open-the-end': trainingSays.openTheEnd,
  },
  direction: {
    'strokes-on-body': trainingSays.strokesOnBody,
    'strokes-on-face': trainingSays.strokesOnFace,
    'strokes-on-hand-and-foot': trainingSays.strokesOnHandAndFoot,
  },
  pace: {
    'pace-skin': trainingSays.paceSkin,
    'pace-nodes': trainingSays.paceNodes,
    'pace-face': trainingSays.paceFace,
    'pace-oil': trainingSays.paceOil,
    'pace-stone': trainingSays.paceStone,
    'even-hand': trainingSays.evenHand,
  },
  count: {
    'count-kept': trainingSays.countKept,
    'count-in-company': trainingSays.countInCompany,
  },
  heat: {
    'first-touch': trainingSays.firstTouch,
    'lying-still': trainingSays.lyingStill,
  },
  drops: {
    'for-whom': trainingSays.forWhomItIs,
    'within-limits': trainingSays.withinLimits,
    'near-the-wish': trainingSays.nearTheWish,
  },
  screen: {
    'what-stops': trainingSays.whatStops,
    'what-refers': trainingSays.whatRefers,
    'what-changes': trainingSays.whatChanges,
    'what-goes': trainingSays.whatGoes,
    'limit-that-matters': trainingSays.limitThatMatters,
  },
  change: {
    'really-changed': trainingSays.reallyChanged,
    'within-error': trainingSays.withinError,
    'tape-slipped': trainingSays.tapeSlipped,
  },
} as const satisfies Readonly<Record<DrillKind, Readonly<Record<string, string>>>>;

type SkillsOf<K extends DrillKind> = Extract<keyof (typeof skillBook)[K], string>;
export type SkillId = { [K in DrillKind]: SkillsOf<K> }[DrillKind];

export interface Skill {
  readonly kind: DrillKind;
  readonly id: SkillId;
  readonly title: string;
}

export const skills: readonly Skill[] = Object.entries(skillBook).flatMap(([kind, of]) =>
  Object.entries(of).map(([id, title]) => ({ kind: kind as DrillKind, id: id as SkillId, title })),
);

const ofId = new Map(skills.map((skill) => [skill.id, skill]));

/** Undefined for one that an older program taught. */
export const skillOf = (id: string): Skill | undefined => ofId.get(id as SkillId);

/** To which skill a rule that was broken belongs; what stands in no row belongs to what the case is mostly about. */
const skillOfRule: Readonly<Record<string, SkillId>> = {
  'start-at-terminus': 'outlet-first',
  'deep-before-lower': 'breath-before-groin',
  'basin-before-skin': 'open-before-stroke',
  'route-before-region': 'way-before-place',
  'near-before-far': 'near-before-far',
  'sound-side-first': 'sound-side-first',
  'no-blocked-target': 'closed-nodes',
  'closed-wound-only': 'closed-nodes',
  'kept-off': 'closed-nodes',
  'stimulate-last': 'gentle-last',
  'soften-thickened': 'soften-first',
  'exit-not-closed': 'close-at-the-end',
  'close-with-breath': 'close-at-the-end',
  'focus-untouched': 'nothing-left-out',
  'left-out': 'nothing-left-out',
  'no-scar-crossing': 'round-scars',
  'not-through': 'round-closed',
  'lawful-end': 'round-closed',
  neighbours: 'place-by-place',
  beginning: 'place-by-place',
  'ends-in-nodes': 'place-by-place',
  'nearest-way': 'nearest-way',
  even: 'even-hand',
  drift: 'even-hand',
  'first-touch': 'first-touch',
  burn: 'first-touch',
  resting: 'lying-still',
  exclusion: 'for-whom',
  dilution: 'near-the-wish',
  'each-oil': 'near-the-wish',
  bottle: 'near-the-wish',
  guide: 'within-limits',
  limit: 'limit-that-matters',
  changed: 'really-changed',
  'not-to-be-told': 'within-error',
  slipped: 'tape-slipped',
};

/** The same rule is another skill where a way is led instead of an order put. */
const onTheWay: Readonly<Record<string, SkillId>> = {
  'no-blocked-target': 'round-closed',
  'basin-before-skin': 'open-the-end',
};

/** @returns the skill of a kind of drill that a rule belongs to; undefined where it is none of its own */
export function skillBehind(kind: DrillKind, rule: string): SkillId | undefined {
  const id = (kind === 'route' ? onTheWay[rule] : undefined) ?? skillOfRule[rule];
  return id !== undefined && ofId.get(id)?.kind === kind ? id : undefined;
}
